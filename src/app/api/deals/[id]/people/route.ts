import { answer, readBody, readId } from "@/server/door";
import { openDealPeople, saveDealPeople } from "@/server/people/deal-people";
import { checkDealPeopleRequest } from "@/server/requests";

type Context = { params: Promise<{ id: string }> };

export const dynamic = "force-dynamic";

export const GET = (request: Request, { params }: Context) =>
  answer(request, "seeDeals", async ({ store }) => openDealPeople(await store(), await readId(params)));

export const PUT = (request: Request, { params }: Context) =>
  answer(request, "changeDeals", async ({ store, asker }) => {
    const id = await readId(params);
    const body = await readBody(request, checkDealPeopleRequest);
    return saveDealPeople(await store(), asker, id, body);
  });
