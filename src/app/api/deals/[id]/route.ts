import { deleteDeal, openDealJson, saveDeal } from "@/server/deals";
import { answer, answerJson, readBody, readId, readVersion } from "@/server/door";
import { checkSaveRequest } from "@/server/requests";

type Context = { params: Promise<{ id: string }> };

export const GET = (request: Request, { params }: Context) =>
  answerJson(request, async ({ store }) => openDealJson(await store(), await readId(params)));

export const PUT = (request: Request, { params }: Context) =>
  answer(request, async ({ store }) => {
    const id = await readId(params);
    const body = await readBody(request, checkSaveRequest);
    return saveDeal(await store(), id, body);
  });

export const DELETE = (request: Request, { params }: Context) =>
  answer(request, async ({ store }) => deleteDeal(await store(), await readId(params), readVersion(request)));
