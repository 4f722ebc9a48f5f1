import { restoreDeal } from "@/server/deals";
import { answer, readId } from "@/server/door";

type Context = { params: Promise<{ id: string }> };

export const POST = (request: Request, { params }: Context) =>
  answer(request, "changeDeals", async ({ store }) => restoreDeal(await store(), await readId(params)));
