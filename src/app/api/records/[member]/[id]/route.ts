import { answer, readBody } from "@/server/door";
import { correctRecord, openRecord, readRecord } from "@/server/records";
import { checkNameRequest } from "@/server/requests";

type Context = { params: Promise<{ member: string; id: string }> };

export const GET = (request: Request, { params }: Context) =>
  answer(request, "seeDeals", async ({ store }) => {
    const beside = new URL(request.url).searchParams.get("beside");
    return openRecord(await store(), await readRecord(params), beside);
  });

export const PUT = (request: Request, { params }: Context) =>
  answer(request, "changeDeals", async ({ store }) => {
    const address = await readRecord(params);
    const body = await readBody(request, checkNameRequest);
    return correctRecord(await store(), address, body);
  });
