import { answer, LARGEST_IMPORT, readBody } from "@/server/door";
import { checkVehicles } from "@/server/requests";
import { addToStock, openStock } from "@/server/stock";
import { serverStore } from "@/server/store";

export const dynamic = "force-dynamic";

export const GET = () => answer(async () => openStock(await serverStore()));

export const POST = (request: Request) =>
  answer(async () => {
    const { vehicles } = await readBody(request, checkVehicles, LARGEST_IMPORT);
    return addToStock(await serverStore(), vehicles);
  }, 201);
