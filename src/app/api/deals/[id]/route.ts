import { deleteDeal, openDealJson, saveDeal } from "@/server/deals";
import { answer, answerJson, readBody, readId, readVersion } from "@/server/door";
import { checkSaveRequest } from "@/server/requests";
import { serverStore } from "@/server/store";

type Context = { params: Promise<{ id: string }> };

export const GET = (_request: Request, { params }: Context) =>
  answerJson(async () => openDealJson(await serverStore(), await readId(params)));

export const PUT = (request: Request, { params }: Context) =>
  answer(async () => {
    const id = await readId(params);
    const body = await readBody(request, checkSaveRequest);
    return saveDeal(await serverStore(), id, body);
  });

export const DELETE = (request: Request, { params }: Context) =>
  answer(async () => deleteDeal(await serverStore(), await readId(params), readVersion(request)));
