import { eq, sql } from "drizzle-orm";
import { type DealHeading, nameOf } from "@/exchange/deal-document";
import { searchText } from "@/exchange/text";
import type { Database } from "./database";
import { registerLines } from "./schema";

/** What stands in a line of who the deal is for and of what it is about. */
type LineHeading = Pick<DealHeading, "customer" | "vehicle" | "status"> & {
  /** The vehicle's, by which the deal is found, too. */
  stockNumber: string | null | undefined;
};

/** A deal's version with what of it stands in its line of the register. */
type Written = { dealId: string; dealVersion: number; changedAt: Date };

/** The line of a new deal. */
export const newLine = ({ heading, ...written }: Written & { heading: LineHeading }) => ({
  ...written,
  ...headingColumns(heading),
});

/**
 * Writes a change of a deal into its line.
 *
 * @param heading where that has changed
 * @param figuresChange whether the figures may now be other ones, and are to be made again
 */
export async function changeLine(
  tx: Database,
  { dealId, ...written }: Written,
  heading: LineHeading | undefined,
  figuresChange: boolean,
): Promise<void> {
  await tx
    .update(registerLines)
    .set({ ...written, ...(heading && headingColumns(heading)), ...(figuresChange && TO_MAKE) })
    .where(eq(registerLines.dealId, dealId));
}

const TO_MAKE = { madeBy: null, payment: null, amountFinanced: null, problem: null, figuresText: "" };

const headingColumns = ({ status, stockNumber, ...named }: LineHeading) => {
  const [customer, vehicle] = [nameOf(named.customer), nameOf(named.vehicle)];
  const [customerKey, vehicleKey] = [searchText(customer), searchText(vehicle)];
  return {
    customer,
    vehicle,
    status,
    customerKey: customerKey || null,
    vehicleKey: vehicleKey || null,
    headingText: [customerKey, vehicleKey, status, searchText(stockNumber ?? "")].join(" ").trimEnd(),
  };
};

/** Lets deals be found by the stock number that their vehicle has from now on. */
export async function renumberLines(
  tx: Database,
  vehicleId: string,
  stockNumber: string | null,
): Promise<void> {
  await tx.execute(sql`update register_lines line set heading_text =
    rtrim(concat(line.customer_key, ' ', line.vehicle_key, ' ', line.status, ' ', ${searchText(stockNumber ?? "")}::text))
    from deals where deals.id = line.deal_id and deals.vehicle_id = ${vehicleId}::uuid`);
}
