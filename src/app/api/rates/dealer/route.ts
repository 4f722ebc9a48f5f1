import { answer } from "@/server/door";
import { openRatesDealer } from "@/server/rates";

export const dynamic = "force-dynamic";

export const GET = (request: Request) => answer(request, async ({ store }) => openRatesDealer(await store()));
