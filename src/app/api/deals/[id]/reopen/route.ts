import { reopenDeal } from "@/server/deals";
import { answer, readId, readVersion } from "@/server/door";
import { serverStore } from "@/server/store";

type Context = { params: Promise<{ id: string }> };

export const POST = (request: Request, { params }: Context) =>
  answer(async () => reopenDeal(await serverStore(), await readId(params), readVersion(request)));
