import { answer, readId, readWithDealer } from "@/server/door";
import { dealHistory } from "@/server/history";

type Context = { params: Promise<{ id: string }> };

export const GET = (request: Request, { params }: Context) =>
  answer(request, async ({ store }) => {
    const id = await readId(params);
    return dealHistory(await store(), id, readWithDealer(request));
  });
