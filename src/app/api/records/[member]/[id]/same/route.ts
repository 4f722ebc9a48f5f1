import { answer, readBody } from "@/server/door";
import { makeOneRecord, readRecord } from "@/server/records";
import { checkSameRequest } from "@/server/requests";

type Context = { params: Promise<{ member: string; id: string }> };

export const POST = (request: Request, { params }: Context) =>
  answer(request, "changeDeals", async ({ store }) => {
    const address = await readRecord(params);
    const { other } = await readBody(request, checkSameRequest);
    return makeOneRecord(await store(), address, other);
  });
