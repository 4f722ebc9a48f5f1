import { MILLIMETRES } from "@/core/distance";
import type { Place } from "../place/places";
import type { HouseCurve, KeepForFile } from "./keep-for.schema";

/** What vehicles are held to be worth until a house has curves of its own: an assumption, to be changed. */
const ANY_VEHICLE: KeepForFile["value"] = {
  points: [
    { month: 0, percent: "100" },
    { month: 12, percent: "80" },
    { month: 24, percent: "68" },
    { month: 36, percent: "58" },
    { month: 48, percent: "49" },
    { month: 60, percent: "42" },
    { month: 84, percent: "30" },
  ],
  normalDistance: 12_000,
  beyond: "0.10",
};

const FIRST_MONTHS = 36;
const FIRST_DISTANCE = { mi: 12_000, km: 20_000 };
/** Where people drive miles. */
const BY_MILES: ReadonlySet<string> = new Set(["US", "GB"]);
const KM_OF_A_MILE = MILLIMETRES.mi / MILLIMETRES.km;

/**
 * What is assumed of how long a vehicle is kept, until something of it is typed.
 *
 * @param place whose law counts
 * @param curves the house's; the first is taken
 */
export function keepForAtFirst(place: Place | undefined, curves: readonly HouseCurve[] = []): KeepForFile {
  const [first] = curves;
  const unit = first?.unit ?? (place === undefined || BY_MILES.has(place) ? "mi" : "km");
  const value = first ? curveOfHouse(first, unit) : inUnit(ANY_VEHICLE, unit);
  return { months: FIRST_MONTHS, distance: value.normalDistance ?? FIRST_DISTANCE[unit], unit, value };
}

/** A curve of the house as a deal's own, in the unit that is driven in. */
export function curveOfHouse(
  { name, unit: own, ...curve }: HouseCurve,
  unit: KeepForFile["unit"],
): KeepForFile["value"] {
  return {
    ...(own === unit ? curve : converted(curve, own === "mi" ? KM_OF_A_MILE : 1 / KM_OF_A_MILE)),
    from: name,
  };
}

const inUnit = (curve: KeepForFile["value"], unit: KeepForFile["unit"]) =>
  unit === "mi" ? curve : { ...converted(curve, KM_OF_A_MILE), normalDistance: FIRST_DISTANCE.km };

const HUNDREDS = 100;
const PRICE_DECIMALS = 3;

/** Distances in another unit, of which so many make one of the first: to the hundred, and prices to a tenth of a cent. */
function converted(curve: Omit<KeepForFile["value"], "from">, each: number): KeepForFile["value"] {
  const { normalDistance, beyond } = curve;
  return {
    ...curve,
    ...(normalDistance !== undefined && {
      normalDistance: Math.round((normalDistance * each) / HUNDREDS) * HUNDREDS,
    }),
    ...(beyond !== undefined && { beyond: (Number(beyond) / each).toFixed(PRICE_DECIMALS) }),
  };
}
