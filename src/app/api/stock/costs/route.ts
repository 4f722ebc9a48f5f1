import { answer } from "@/server/door";
import { openStockCosts } from "@/server/stock";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(request, "seeDealersSide", async ({ store, note }) => {
    await note("sawCosts");
    return openStockCosts(await store());
  });
