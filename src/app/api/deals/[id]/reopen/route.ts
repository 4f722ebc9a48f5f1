import { reopenDeal } from "@/server/deals";
import { answer, readId, readVersion } from "@/server/door";
import { allowReopening } from "@/server/people/releases";

type Context = { params: Promise<{ id: string }> };

export const POST = (request: Request, { params }: Context) =>
  answer(request, "signDeals", async ({ store, asker }) => {
    const [kept, id] = [await store(), await readId(params)];
    await allowReopening(kept, asker, id);
    return reopenDeal(kept, id, readVersion(request));
  });
