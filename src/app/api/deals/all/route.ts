import { Readable } from "node:stream";
import { allDeals, bringInDeals } from "@/server/deals-file";
import { answer, answerFile, readArrivalOf, readText, readWithDealer } from "@/server/door";
import { Refusal } from "@/server/refusal";

export const dynamic = "force-dynamic";

/** The largest file of deals that is read, in bytes. */
const LARGEST = 100_000_000;

export const GET = (request: Request) =>
  answerFile(request, "moveAllDeals", "deals.ndjson", "application/x-ndjson", async context => {
    const withDealer = readWithDealer(context);
    await context.note("exportedDeals");
    return Readable.from(allDeals(await context.store(), withDealer));
  });

export const POST = (request: Request) =>
  answer(
    request,
    "moveAllDeals",
    async ({ store }) => {
      if (request.headers.get("content-type") !== "application/x-ndjson")
        throw new Refusal(415, "The deals must be JSON, one on each line, sent as application/x-ndjson.");
      const arrival = readArrivalOf(request);
      return bringInDeals(await store(), await readText(request, LARGEST), { ...(arrival && { arrival }) });
    },
    201,
  );
