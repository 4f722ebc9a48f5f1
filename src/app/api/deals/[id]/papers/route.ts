import { allow, answer, readId, readVersion } from "@/server/door";
import { papersOf, readOptionsAsked } from "@/server/papers/papers";

type Context = { params: Promise<{ id: string }> };

export const GET = (request: Request, { params }: Context) =>
  answer(request, "seeDeals", async ({ store, asker }) => {
    const id = await readId(params);
    const asked = readOptionsAsked(request, readVersion(request));
    if (asked.details.isCommissionAsked) allow(asker, "seeDealersSide");
    return papersOf(await store(), id, asked);
  });
