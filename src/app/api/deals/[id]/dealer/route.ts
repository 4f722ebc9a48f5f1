import { openDealer, saveDealer } from "@/server/dealer";
import { answer, readBody, readId } from "@/server/door";
import { checkDealerRequest } from "@/server/requests";

type Context = { params: Promise<{ id: string }> };

export const GET = (request: Request, { params }: Context) =>
  answer(request, "seeDealersSide", async ({ store, note }) => {
    const id = await readId(params);
    await note("sawDealersSide", id);
    return openDealer(await store(), id);
  });

export const PUT = (request: Request, { params }: Context) =>
  answer(request, "changeDealersSide", async ({ store }) => {
    const id = await readId(params);
    const body = await readBody(request, checkDealerRequest);
    return saveDealer(await store(), id, body);
  });
