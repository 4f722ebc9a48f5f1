import { arrivingDeals, cancelArriving } from "@/server/deals-arriving";
import { answer, readArrivalId } from "@/server/door";

type Context = { params: Promise<{ id: string }> };

export const dynamic = "force-dynamic";

export const GET = (request: Request, { params }: Context) =>
  answer(request, "moveAllDeals", async ({ store }) =>
    arrivingDeals(await store(), await readArrivalId(params)),
  );

export const DELETE = (request: Request, { params }: Context) =>
  answer(request, "moveAllDeals", async ({ store }) =>
    cancelArriving(await store(), await readArrivalId(params)),
  );
