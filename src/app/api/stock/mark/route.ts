import { answer } from "@/server/door";
import { stockMark } from "@/server/stock";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(request, "seeDeals", async ({ store }) => stockMark(await store()));
