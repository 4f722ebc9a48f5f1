import { dealVersion } from "@/server/deals";
import { answer, readId } from "@/server/door";

type Context = { params: Promise<{ id: string }> };

export const dynamic = "force-dynamic";

export const GET = (request: Request, { params }: Context) =>
  answer(request, "seeDeals", async ({ store }) => dealVersion(await store(), await readId(params)));
