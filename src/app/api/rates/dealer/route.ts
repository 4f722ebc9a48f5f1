import { answer } from "@/server/door";
import { openRatesDealer } from "@/server/rates";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(request, "seeDealersSide", async ({ store, note }) => {
    await note("sawRates");
    return openRatesDealer(await store());
  });
