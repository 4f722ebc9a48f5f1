import { answer, readBody, readVehicleId, readVersion } from "@/server/door";
import { checkVehicle } from "@/server/requests";
import { changeInStock, removeFromStock } from "@/server/stock";

type Context = { params: Promise<{ id: string }> };

export const PUT = (request: Request, { params }: Context) =>
  answer(request, "changeStock", async ({ store }) => {
    const id = await readVehicleId(params);
    const vehicle = await readBody(request, checkVehicle);
    return changeInStock(await store(), id, readVersion(request), vehicle);
  });

export const DELETE = (request: Request, { params }: Context) =>
  answer(request, "changeStock", async ({ store }) =>
    removeFromStock(await store(), await readVehicleId(params), readVersion(request)),
  );
