import { evaluate } from "@/core";
import { type DealDocument, newId } from "@/exchange/deal-document";
import { readDeal } from "@/exchange/deal-file";
import { forCustomers } from "@/exchange/for-customers";
import { placesOfDeal, seenOfDeal } from "@/exchange/for-customers/projection";
import { SEEN } from "@/exchange/for-customers/seen";
import { wholeDealOf } from "@/exchange/whole-deal";
import { parseDealDocument } from "@/exchange/whole-deal/parse-document";
import { MEMBERS } from "../every-member";
import { LOAN, VAN } from "../features/lease-and-loan";
import { named } from "../named";

test("every member of a deal says whether customers may see it, wherever it stands", () => {
  const places = placesOfDeal();
  expect(places.length).toBeGreaterThan(150);
  expect(places.filter(({ mark }) => mark === undefined).map(({ place }) => place)).toEqual([]);
  // What one kind hides no other shows at the same place.
  const shown = new Set(places.filter(({ mark }) => mark).map(({ place }) => place));
  const hidden = [...new Set(places.filter(({ mark }) => mark === false).map(({ place }) => place))];
  expect(hidden.filter(place => shown.has(place))).toEqual([]);
  expect(hidden.sort()).toEqual([
    "/budget",
    "/customer/id",
    "/notes",
    "/options/inputs/ask",
    "/options/inputs/kept",
    "/vehicle/id",
  ]);
});

test("the projection that is written is the one that the marks come to", () => {
  expect(SEEN).toEqual(seenOfDeal());
});

const HIDDEN = "7391.25";

/** A deal with a telltale in every member that customers never see, and in one that no schema knows. */
function telltaleDeal(): DealDocument {
  const kept = { plan: { ...VAN.plan, residual: { amount: HIDDEN } }, find: "payment" };
  const every = Object.assign({}, ...Object.values(MEMBERS).map(({ sample }) => sample)) as object;
  const inputs = [
    { ...LOAN, kept, ask: [{ ask: "interestPaid", from: 1, through: 7391 }] },
    { ...LOAN, structure: { ...LOAN.structure, ...every } },
    { ...VAN, cost: HIDDEN },
  ];
  const options = inputs.map(each => ({ id: newId(), name: "", inputs: each, buyRate: HIDDEN }));
  return {
    customer: { id: HIDDEN, name: "Idris Vantongeren" },
    vehicle: named("Larkmoor 240 campervan"),
    status: "agreed",
    budget: HIDDEN,
    notes: `Would go to ${HIDDEN}`,
    place: "US",
    chosen: options[1]?.id ?? "",
    options,
    dealer: { cost: HIDDEN },
  } as unknown as DealDocument;
}

test("what customers never see, and what no schema knows, is nowhere in what they get; all else is", () => {
  const deal = telltaleDeal();
  const theirs = forCustomers(deal);
  expect(JSON.stringify(theirs)).not.toMatch(/739[1.]/);
  expect(theirs).toMatchObject({
    customer: { name: "Idris Vantongeren" },
    status: "agreed",
    options: [{ inputs: { plan: LOAN.plan } }, { inputs: deal.options[1]?.inputs }, { inputs: VAN }],
  });
  const odd = forCustomers({ ...deal, constructor: HIDDEN } as DealDocument);
  expect(Object.keys(odd)).not.toContain("constructor");
});

test("a file for the customer comes back as the deal that its customer sees, figure by figure", () => {
  const { options, chosen, ...heading } = telltaleDeal();
  const readable = options.filter((_, index) => index !== 1);
  const text = JSON.stringify(
    wholeDealOf(forCustomers({ ...heading, chosen: readable[1]?.id ?? chosen, options: readable })),
  );
  const back = parseDealDocument(text, newId);
  if (!back.ok) throw new Error(back.sentence);
  const paid = (inputs: DealDocument["options"][number]["inputs"]) => {
    const deal = readDeal(inputs);
    if (!deal.ok) throw new Error(deal.failure.sentence);
    return evaluate(deal.value);
  };
  expect(back.value.document.options.map(({ inputs }) => paid(inputs))).toEqual([LOAN, VAN].map(paid));
});
