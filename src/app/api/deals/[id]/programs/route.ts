import { answer, readBody, readId } from "@/server/door";
import { programsOfDeal } from "@/server/programs-of-deal";
import { checkProgramsRequest } from "@/server/requests";

type Context = { params: Promise<{ id: string }> };

export const POST = (request: Request, { params }: Context) =>
  answer(request, async ({ store }) => {
    const id = await readId(params);
    const body = await readBody(request, checkProgramsRequest);
    return programsOfDeal(await store(), id, body, new Date());
  });
