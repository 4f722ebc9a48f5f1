import { answer, readBody } from "@/server/door";
import { removeRates } from "@/server/rates";
import { checkGoneRatesRequest } from "@/server/requests";

export const POST = (request: Request) =>
  answer(request, "changeRates", async ({ store }) => {
    const body = await readBody(request, checkGoneRatesRequest);
    return removeRates(await store(), body);
  });
