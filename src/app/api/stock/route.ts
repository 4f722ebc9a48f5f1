import { answer, LARGEST_IMPORT, readBody } from "@/server/door";
import { checkVehicles } from "@/server/requests";
import { addToStock, openStock } from "@/server/stock";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(request, "seeDeals", async ({ store }) => openStock(await store()));

export const POST = (request: Request) =>
  answer(
    request,
    "changeStock",
    async ({ store }) => {
      const { vehicles } = await readBody(request, checkVehicles, LARGEST_IMPORT);
      return addToStock(await store(), vehicles);
    },
    201,
  );
