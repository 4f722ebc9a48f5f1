import { priceFile } from "@/exchange/answers/price-file";
import { newDealDocument } from "@/exchange/new-deal/new-deal";
import { LOCALES } from "@/exchange/notation";
import { changesInWords } from "@/exchange/option-words";
import { PLACES, placeOfLocale } from "@/exchange/place/places";
import { DEFAULT_SETTINGS } from "@/exchange/settings";
import { wholeDealOf } from "@/exchange/whole-deal";
import { parseDealDocument } from "@/exchange/whole-deal/parse-document";
import { named } from "../named";

const OPTION = {
  structure: { price: "30000.00" },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 72 },
  find: "payment",
};

/** A file of each version, with what stands at the deal and what at its option. */
const files = (deal: object, option: object = {}) => [
  { format: "kellux-deal", version: 1, currency: "EUR", ...OPTION, ...option, ...deal },
  { format: "kellux-deal", version: 2, currency: "EUR", ...deal, options: [{ ...OPTION, ...option }] },
];

const parsed = (file: object) =>
  parseDealDocument(JSON.stringify(file), () => "00000000-0000-4000-8000-000000000001");

function placeOf(file: object) {
  const deal = parsed(file);
  if (!deal.ok) throw new Error(deal.sentence);
  return deal.value.document.place;
}

test.each([
  ["the one that it names, however its figures are written", { place: "DE" }, { locale: "en-GB" }, "DE"],
  ["else that of how its figures are written", {}, { locale: "fr-CA" }, "CA"],
  ["else none", {}, {}, undefined],
])("the place of a file is %s", (_, deal, option, place) => {
  for (const file of files(deal, option)) {
    expect(placeOf(file)).toBe(place);
    expect(priceFile(JSON.stringify(file), false)).toMatchObject({ ok: true });
  }
});

test("each way of writing figures is of a place, and each place has one", () => {
  expect([...new Set(LOCALES.map(placeOfLocale))].sort()).toEqual([...PLACES].sort());
});

test("a place that is none is refused by what there is", () => {
  for (const file of files({ place: "XX" })) {
    const sentence = 'place is "XX"; it must be "US", "CA", "GB", "DE", "IN" or "JP".';
    expect(parsed(file)).toEqual({ ok: false, sentence });
    expect(priceFile(JSON.stringify(file), false)).toEqual({ ok: false, sentence });
  }
});

test("a deal goes out with its place and comes in with it; a change of it is said", () => {
  const document = { ...newDealDocument("2026-11-24"), customer: named("Ida"), place: "IN" as const };
  const option = document.options[0];
  if (!option) throw new Error("A new deal has an option.");
  const priced = { ...option, inputs: { ...option.inputs, ...OPTION } as typeof option.inputs };
  expect(placeOf(wholeDealOf({ ...document, options: [priced] }))).toBe("IN");
  const { place: _, ...without } = document;
  expect(changesInWords(without, document)).toEqual([
    { figure: "place whose law counts", from: "", to: "India" },
  ]);
});

test("a new deal is of the house's place, as it is when the deal is made", () => {
  expect(newDealDocument("2026-11-24", { ...DEFAULT_SETTINGS, place: "GB" }).place).toBe("GB");
  expect(newDealDocument("2026-11-24")).not.toHaveProperty("place");
});
