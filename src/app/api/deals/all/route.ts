import { Readable } from "node:stream";
import { allDeals, bringInToldDeals } from "@/server/deals-file";
import { answer, answerFile, readArrivalOf, readText } from "@/server/door";
import { Refusal } from "@/server/refusal";
import { serverStore } from "@/server/store";

export const dynamic = "force-dynamic";

/** The largest file of deals that is read, in bytes. */
const LARGEST = 100_000_000;

export const GET = () =>
  answerFile("deals.ndjson", "application/x-ndjson", async () =>
    Readable.from(allDeals(await serverStore())),
  );

export const POST = (request: Request) =>
  answer(async () => {
    if (request.headers.get("content-type") !== "application/x-ndjson")
      throw new Refusal(415, "The deals must be JSON, one on each line, sent as application/x-ndjson.");
    const arrival = readArrivalOf(request);
    return bringInToldDeals(await serverStore(), await readText(request, LARGEST), arrival);
  }, 201);
