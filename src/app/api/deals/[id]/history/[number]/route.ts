import { answer, readId } from "@/server/door";
import { dealAfterChange } from "@/server/history";

type Context = { params: Promise<{ id: string; number: string }> };

export const GET = (request: Request, { params }: Context) =>
  answer(request, "seeDeals", async ({ store }) => {
    const id = await readId(params);
    return dealAfterChange(await store(), id, (await params).number);
  });
