// The stock of the demo scenario, and who and what its deals name.
import type { Named } from "@/exchange/deal-document";
import type { VehicleFile } from "@/exchange/stock/stock.schema";

type Line = [
  stockNumber: string,
  description: string,
  kind: NonNullable<VehicleFile["kind"]>,
  /** Null where it is new. */
  used: { year: number; distance?: number } | null,
  priceMinor: number,
];

const LINES: Line[] = [
  ["1187", "Larkmoor 240 campervan", "campervan", null, 41_850_00],
  ["1190", "Larkmoor 240 campervan", "campervan", null, 43_200_00],
  ["1203", "Larkmoor 300 family campervan", "campervan", null, 58_990_00],
  ["1214", "Larkmoor Fold pop-top camper", "campervan", null, 36_450_00],
  ["0961", "Larkmoor Coast campervan", "campervan", { year: 2021, distance: 41_200 }, 24_300_00],
  ["2041", "Ostrel U2 utility van", "van", null, 31_480_00],
  ["2044", "Ostrel U2 utility van, electric", "van", null, 39_760_00],
  ["2052", "Ostrel U3 long utility van", "van", null, 35_995_00],
  ["2058", "Ostrel Crew utility van", "van", null, 37_240_00],
  ["1877", "Ostrel U2 utility van", "van", { year: 2020, distance: 58_650 }, 17_650_00],
  ["1904", "Ostrel Tipper utility van", "van", { year: 2022, distance: 33_900 }, 21_900_00],
  ["3310", "Ostrel Tandem boat trailer", "trailer", null, 9_840_00],
  ["3314", "Ostrel Single boat trailer", "trailer", null, 4_275_00],
  ["3322", "Ostrel Heavy boat trailer", "trailer", null, 14_600_00],
  ["4402", "Pennywhistle Duo cargo bike", "bicycle", null, 4_800_00],
  ["4405", "Pennywhistle Trio cargo bike", "bicycle", null, 6_150_00],
  ["4411", "Pennywhistle Postal cargo bike", "bicycle", null, 5_480_00],
  ["4388", "Pennywhistle Duo cargo bike", "bicycle", { year: 2024 }, 2_950_00],
];

const NEW_YEAR = 2026;
const toTen = (minor: number) => Math.round(minor / 1000) * 1000;

/** The same ids each time, so that the demo is the same data wherever it is loaded. */
const idOf = (kind: string, place: number) =>
  `00000000-0000-4000-${kind}-${String(place + 1).padStart(12, "0")}`;

export const DEMO_VEHICLES = LINES.map(
  ([stockNumber, description, kind, used, priceMinor], place): VehicleFile & { id: string } => ({
    id: idOf("9000", place),
    stockNumber,
    description,
    kind,
    condition: used ? "used" : "new",
    modelYear: used?.year ?? NEW_YEAR,
    distance: used?.distance ?? null,
    distanceUnit: used?.distance === undefined ? null : "mi",
    identification: null,
    priceMinor,
    // Bought for about nine tenths of what is asked, which is a little under the list price.
    costMinor: toTen(priceMinor * 0.89),
    invoiceMinor: toTen(priceMinor * 0.91),
    listPriceMinor: toTen(priceMinor * 1.03),
    bookValueMinor: used ? toTen(priceMinor * 0.94) : null,
    bookGuide: used ? "Marrow Bay price guide" : null,
    bookDate: used ? "2026-11-02" : null,
    currency: "USD",
  }),
);

const customers: string[] = [];
const purposes: string[] = [];
const placeIn = (names: string[], name: string) => {
  if (!names.includes(name)) names.push(name);
  return names.indexOf(name);
};

/** A customer by name: in the demo there are no two of one name. */
export const demoCustomer = (name: string): Named => ({ id: idOf("8100", placeIn(customers, name)), name });

/** A vehicle by its number, "no. 1187", or what else a deal is for. */
export function demoVehicle(name: string): Named {
  const known = DEMO_VEHICLES.find(({ stockNumber }) => name === `no. ${stockNumber}`);
  return known
    ? { id: known.id, name: known.description }
    : { id: idOf("8200", placeIn(purposes, name)), name };
}
