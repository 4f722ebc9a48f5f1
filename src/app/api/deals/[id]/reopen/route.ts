import { reopenDeal } from "@/server/deals";
import { answer, readId } from "@/server/door";
import { serverStore } from "@/server/store";

type Context = { params: Promise<{ id: string }> };

export const POST = (_request: Request, { params }: Context) =>
  answer(async () => reopenDeal(await serverStore(), await readId(params)));
