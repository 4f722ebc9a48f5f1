import { inNotation, type Notation } from "@/exchange/notation";
import { factText } from "@/exchange/stock/fact-text";
import { readFact } from "@/exchange/stock/read-fact";
import type { VehicleFile } from "@/exchange/stock/stock.schema";
import { VEHICLE_COLUMNS, type VehicleColumn, type VehicleFact } from "@/exchange/stock/vehicle-columns";
import { readTypedAmount } from "@/features/deal/fields/typed-amount";
import { todaysDay } from "@/features/figures/today";

/** A field of a vehicle; the unit of its distance is typed with it. */
export type VehicleField = Exclude<VehicleFact, "distanceUnit"> | "description";

/** What stands in each field. */
export type VehicleTexts = Partial<Record<VehicleField, string>>;

/** How figures of a vehicle are typed. */
export type TypedVehicle = { currency: string; notation: Notation; unit: "km" | "mi" };

/** The columns that have a field: those of the dealer's side where that is open. */
const fieldColumns = (withCosts: boolean): VehicleColumn[] =>
  VEHICLE_COLUMNS.filter(({ fact, isOfDealer }) => fact !== "distanceUnit" && (withCosts || !isOfDealer));

/** A vehicle as it is typed. */
export function textsOf(vehicle: Partial<VehicleFile> | null, at: TypedVehicle): VehicleTexts {
  const texts: VehicleTexts = { description: vehicle?.description ?? "" };
  for (const column of fieldColumns(true)) {
    const value = vehicle?.[column.fact] ?? null;
    const unit = column.fact === "distance" && value !== null ? ` ${vehicle?.distanceUnit ?? at.unit}` : "";
    texts[column.fact as VehicleField] = value === null ? "" : factText(column, value, at) + unit;
  }
  return texts;
}

/** What a vehicle comes to as it is typed, or what cannot be read, and where. */
type ReadVehicle = VehicleFile | { field: VehicleField; sentence: string };

export function readTexts(texts: VehicleTexts, withCosts: boolean, at: TypedVehicle): ReadVehicle {
  const facts: Partial<VehicleFile> = {};
  for (const column of fieldColumns(withCosts)) {
    const field = column.fact as VehicleField;
    const read = readField(column, texts[field] ?? "", at);
    if ("sentence" in read) return { field, sentence: sentenceOf(read.sentence) };
    Object.assign(facts, read);
  }
  const description = (texts.description ?? "").replace(/\s+/g, " ").trim();
  if (description === "") return { field: "description", sentence: "Say what it is called." };
  const { priceMinor = null, listPriceMinor = null, ...told } = facts;
  return { description, currency: at.currency, priceMinor, listPriceMinor, ...told };
}

function readField(
  column: VehicleColumn,
  text: string,
  at: TypedVehicle,
): Partial<VehicleFile> | { sentence: string } {
  const [, distance = "", unit] = DISTANCE.exec(text) ?? [];
  const isDistance = column.fact === "distance";
  const plain = column.kind === "amount" ? typedAmount(text, at) : { text: isDistance ? distance : text };
  const read = "sentence" in plain ? plain : readFact(column, plain.text, { ...at, today: todaysDay() });
  if ("sentence" in read) return read;
  const ofDistance = read.value === null ? null : (unit?.toLowerCase() ?? at.unit);
  return {
    [column.fact]: read.value,
    ...(isDistance && { distanceUnit: ofDistance }),
  } as Partial<VehicleFile>;
}

const DISTANCE = /^(.*?)\s*(km|mi)?$/i;

/** What is worked out where an amount is typed, such as "41k". */
function typedAmount(
  text: string,
  { currency, notation }: TypedVehicle,
): { text: string } | { sentence: string } {
  if (text.trim() === "") return { text };
  const read = readTypedAmount(text, currency, notation);
  return "sentence" in read ? read : { text: inNotation(read.amount, notation) };
}

const sentenceOf = (text: string) => text.replace(/^./, first => first.toUpperCase());

/** Whether what is typed is what is kept. */
export const isAsKept = (kept: Partial<VehicleFile>, read: VehicleFile): boolean =>
  Object.entries(read).every(([name, value]) => (kept[name as keyof VehicleFile] ?? null) === value);
