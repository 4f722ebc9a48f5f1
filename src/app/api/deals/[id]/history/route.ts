import { answer, readId, readWithDealer } from "@/server/door";
import { dealHistory } from "@/server/history";

type Context = { params: Promise<{ id: string }> };

export const GET = (request: Request, { params }: Context) =>
  answer(request, "seeDeals", async context => {
    const id = await readId(params);
    const withDealer = readWithDealer(context);
    if (withDealer) await context.note("sawDealersSide", id);
    return dealHistory(await context.store(), id, withDealer);
  });
