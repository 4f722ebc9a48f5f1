import { deleteDeal, openDealJson, saveDeal } from "@/server/deals";
import { allow, answer, answerJson, readBody, readId, readVersion } from "@/server/door";
import { allowSigning } from "@/server/people/releases";
import { checkSaveRequest } from "@/server/requests";

type Context = { params: Promise<{ id: string }> };

export const GET = (request: Request, { params }: Context) =>
  answerJson(request, "seeDeals", async ({ store }) => openDealJson(await store(), await readId(params)));

export const PUT = (request: Request, { params }: Context) =>
  answer(request, "changeDeals", async ({ store, asker }) => {
    const id = await readId(params);
    const body = await readBody(request, checkSaveRequest);
    if (body.dealer) allow(asker, "changeDealersSide");
    if (body.change.heading?.status === "signed") await allowSigning(await store(), asker, id, body.change);
    return saveDeal(await store(), id, body);
  });

export const DELETE = (request: Request, { params }: Context) =>
  answer(request, "changeDeals", async ({ store }) =>
    deleteDeal(await store(), await readId(params), readVersion(request)),
  );
