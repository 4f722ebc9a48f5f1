import { allow, answer, readBody, readId } from "@/server/door";
import { programsOfDeal } from "@/server/programs-of-deal";
import { checkProgramsRequest } from "@/server/requests";

type Context = { params: Promise<{ id: string }> };

export const POST = (request: Request, { params }: Context) =>
  answer(request, "seeDeals", async ({ store, asker, note }) => {
    const id = await readId(params);
    const body = await readBody(request, checkProgramsRequest);
    if (body.side) {
      allow(asker, "seeDealersSide");
      await note("sawDealersSide", id);
    }
    return programsOfDeal(await store(), id, body, new Date());
  });
