import { eq } from "drizzle-orm";
import { type DealHeading, nameOf } from "@/exchange/deal-document";
import { searchText } from "@/exchange/text";
import type { Database } from "./database";
import { registerLines } from "./schema";

/** A deal's version with what of it stands in its line of the register. */
type Written = {
  dealId: string;
  dealVersion: number;
  changedAt: Date;
  heading: Pick<DealHeading, "customer" | "vehicle" | "status">;
};

/** The line of a new deal. */
export const newLine = ({ heading, ...written }: Written) => ({ ...written, ...headingColumns(heading) });

/**
 * Writes a change of a deal into its line.
 *
 * @param figuresChange whether the figures may now be other ones, and are to be made again
 */
export async function changeLine(
  tx: Database,
  { heading, dealId, ...written }: Written,
  figuresChange: boolean,
): Promise<void> {
  await tx
    .update(registerLines)
    .set({ ...written, ...headingColumns(heading), ...(figuresChange && TO_MAKE) })
    .where(eq(registerLines.dealId, dealId));
}

const TO_MAKE = { madeBy: null, payment: null, amountFinanced: null, problem: null, figuresText: "" };

const headingColumns = ({ status, ...named }: Written["heading"]) => {
  const [customer, vehicle] = [nameOf(named.customer), nameOf(named.vehicle)];
  const [customerKey, vehicleKey] = [searchText(customer), searchText(vehicle)];
  return {
    customer,
    vehicle,
    status,
    customerKey: customerKey || null,
    vehicleKey: vehicleKey || null,
    headingText: `${customerKey} ${vehicleKey} ${status}`,
  };
};
