import { answer, readBody, readVehicleId, readVersion } from "@/server/door";
import { checkVehicle } from "@/server/requests";
import { changeInStock, removeFromStock } from "@/server/stock";
import { serverStore } from "@/server/store";

type Context = { params: Promise<{ id: string }> };

export const PUT = (request: Request, { params }: Context) =>
  answer(async () => {
    const id = await readVehicleId(params);
    const vehicle = await readBody(request, checkVehicle);
    return changeInStock(await serverStore(), id, readVersion(request), vehicle);
  });

export const DELETE = (request: Request, { params }: Context) =>
  answer(async () => removeFromStock(await serverStore(), await readVehicleId(params), readVersion(request)));
