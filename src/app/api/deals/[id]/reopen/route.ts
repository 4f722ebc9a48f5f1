import { reopenDeal } from "@/server/deals";
import { answer, readId, readVersion } from "@/server/door";

type Context = { params: Promise<{ id: string }> };

export const POST = (request: Request, { params }: Context) =>
  answer(request, async ({ store }) => reopenDeal(await store(), await readId(params), readVersion(request)));
