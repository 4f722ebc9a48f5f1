import { arrivingDeals, cancelArriving } from "@/server/deals-arriving";
import { answer, readArrivalId } from "@/server/door";

type Context = { params: Promise<{ id: string }> };

export const dynamic = "force-dynamic";

export const GET = (_request: Request, { params }: Context) =>
  answer(async () => arrivingDeals(await readArrivalId(params)));

export const DELETE = (_request: Request, { params }: Context) =>
  answer(async () => cancelArriving(await readArrivalId(params)));
