import { restoreDeal } from "@/server/deals";
import { answer, readId } from "@/server/door";
import { serverStore } from "@/server/store";

type Context = { params: Promise<{ id: string }> };

export const POST = (_request: Request, { params }: Context) =>
  answer(async () => restoreDeal(await serverStore(), await readId(params)));
