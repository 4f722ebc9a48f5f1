import { answer } from "@/server/door";
import { openStockCosts } from "@/server/stock";

export const dynamic = "force-dynamic";

export const GET = (request: Request) => answer(request, async ({ store }) => openStockCosts(await store()));
