import { answer, readBody, readId } from "@/server/door";
import { takeProgramForDeal } from "@/server/programs-of-deal";
import { checkTakeProgramRequest } from "@/server/requests";

type Context = { params: Promise<{ id: string }> };

export const POST = (request: Request, { params }: Context) =>
  answer(request, "changeDeals", async ({ store }) => {
    const id = await readId(params);
    const body = await readBody(request, checkTakeProgramRequest);
    return takeProgramForDeal(await store(), id, body, new Date());
  });
