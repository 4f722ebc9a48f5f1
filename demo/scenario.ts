// The demo scenario: Tarn & Hollow, a made-up dealer in the made-up town of Marrow Bay, and its lending desk.
import { asidesMember, type DealDocument, type DealHeading, documentOf } from "@/exchange/deal-document";
import type { DealFile } from "@/exchange/deal-file";
import { type Dealer, dealerOfFile } from "@/exchange/dealer";
import type { ExtraFile } from "@/exchange/extra-payments/extra.schema";
import type { LoanFile } from "@/exchange/kinds/loan";
import { INCOME } from "./income";
import { KEPT } from "./kept";
import { LEASES } from "./leases";
import { MORE_DEALS } from "./more-deals";
import { OPTIONS } from "./options";
import { demoCustomer, demoVehicle } from "./stock";
import { THEIRS } from "./theirs";

/** Whose deal it is, for what, how it stands, and when it was changed. A vehicle of the stock is named by its number. */
export type DemoHeading = Pick<DealHeading, "status"> & {
  customer: string;
  vehicle: string;
  changed: string;
};

/** A deal of the scenario. */
export type DemoDeal = DemoHeading & {
  structure: LoanFile["structure"];
  plan: Partial<LoanFile["plan"]>;
  find?: LoanFile["find"];
  /** Extra payments that are tried on it, and what the money could earn. */
  early?: ExtraFile;
  return?: NonNullable<DealDocument["asides"]>["return"];
};

const deals: DemoDeal[] = [
  {
    // Underwater: more is owed on the trade-in than it is worth.
    customer: "Idris Vantongeren",
    vehicle: "no. 1187",
    status: "quoting",
    changed: "2026-11-24T09:42:00Z",
    structure: {
      price: "41850.00",
      tradeIn: { allowance: "9200.00", owed: "11050.00" },
      down: { amount: "3000.00" },
    },
    plan: { yearlyRate: "6.49", payments: 72, signed: "2026-11-24" },
  },
  {
    customer: "Maren Oakhollow",
    vehicle: "no. 2041",
    status: "agreed",
    changed: "2026-11-23T16:05:00Z",
    structure: { price: "31480.00", down: { percent: "15" } },
    plan: { yearlyRate: "5.95", payments: 60, signed: "2026-11-23", firstPayment: "2027-01-08" },
    early: {
      each: "40.00",
      yearly: { amount: "1200.00", month: 12 },
      once: [{ after: 24, amount: "4000.00" }],
    },
    return: { rate: "4.2", tax: "25" },
  },
  {
    // A zero-rate promotion.
    customer: "Sunniva Brack",
    vehicle: "no. 4402",
    status: "signed",
    changed: "2026-11-21T11:20:00Z",
    structure: { price: "4800.00", down: { amount: "500.00" } },
    plan: { yearlyRate: "0", payments: 24, signed: "2026-11-21" },
  },
  {
    // No price gives 85 a month with so much owed on the trade-in.
    customer: "Tobiah Quarles",
    vehicle: "no. 0961",
    status: "quoting",
    changed: "2026-11-24T08:55:00Z",
    structure: { tradeIn: { allowance: "6500.00", owed: "14000.00" }, down: { amount: "0" } },
    plan: { yearlyRate: "7.90", payments: 60, signed: "2026-11-24", payment: "85.00" },
    find: "price",
  },
  {
    customer: "Jorun Castellane",
    vehicle: "no. 3310",
    status: "quoting",
    changed: "2026-11-20T14:31:00Z",
    structure: { price: "9840.00", down: { amount: "1000.00" } },
    plan: { yearlyRate: "8.25", payments: 120, signed: "2026-11-20", firstPayment: "2027-01-05" },
  },
  {
    customer: "Odalys Fenwright",
    vehicle: "no. 1203",
    status: "quoting",
    changed: "2026-11-24T10:10:00Z",
    structure: { tradeIn: { allowance: "18500.00", owed: "6200.00" }, down: { percent: "10" } },
    plan: { yearlyRate: "6.10", payments: 84, signed: "2026-11-24", payment: "550.00" },
    find: "price",
  },
  {
    customer: "Caspar Leith-Moon",
    vehicle: "no. 2058",
    status: "quoting",
    changed: "2026-11-19T15:48:00Z",
    structure: { price: "37240.00", tradeIn: { allowance: "8000.00", owed: "0" } },
    plan: { yearlyRate: "5.75", payments: 66, signed: "2026-11-19", payment: "480.00" },
    find: "down",
  },
  {
    customer: "Priya Dunmarrow",
    vehicle: "Kitchen refit",
    status: "agreed",
    changed: "2026-11-18T09:15:00Z",
    structure: { price: "18600.00" },
    plan: { yearlyRate: "9.40", payments: 48, signed: "2026-11-18", rounding: "up" },
  },
  {
    customer: "Wilhelmina Tock",
    vehicle: "Dental work",
    status: "signed",
    changed: "2026-11-12T13:02:00Z",
    structure: { price: "6240.00", down: { amount: "600.00" } },
    plan: { yearlyRate: "10.50", payments: 18, signed: "2026-11-12" },
  },
  {
    customer: "Benedikt Saltroe",
    vehicle: "A piano",
    status: "quoting",
    changed: "2026-11-17T10:37:00Z",
    structure: { price: "11900.00", down: { percent: "20" } },
    plan: { yearlyRate: "7.25", payments: 36, signed: "2026-11-17", rounding: "down" },
  },
  {
    // Shown three ways: see options.ts.
    customer: "Amaru Pelling",
    vehicle: "no. 1190",
    status: "quoting",
    changed: "2026-11-24T11:20:00Z",
    structure: {
      price: "43200.00",
      tradeIn: { allowance: "2400.00", owed: "0" },
      down: { amount: "3000.00" },
    },
    plan: { yearlyRate: "6.49", payments: 72, signed: "2026-11-24" },
  },
  {
    customer: "Liesel Thornquist",
    vehicle: "no. 1214",
    status: "signed",
    changed: "2026-11-16T12:44:00Z",
    structure: {
      price: "36450.00",
      tradeIn: { allowance: "12750.00", owed: "4310.55" },
      down: { amount: "2500.00" },
    },
    plan: { yearlyRate: "6.25", payments: 60, signed: "2026-11-16", firstPayment: "2026-12-31" },
    // Signed, and some of it paid early, so that the payment gets lower.
    early: { once: [{ after: 12, amount: "3500.00", then: "lowerPayments" }] },
  },
  {
    customer: "Maren Oakhollow",
    vehicle: "no. 4411",
    status: "quoting",
    changed: "2026-11-22T10:00:00Z",
    structure: { price: "5480.00" },
    plan: { yearlyRate: "4.90", payments: 30, signed: "2026-11-22" },
  },
  {
    customer: "Idris Vantongeren",
    vehicle: "no. 1190",
    status: "lost",
    changed: "2026-11-14T16:18:00Z",
    structure: {
      price: "43200.00",
      tradeIn: { allowance: "9000.00", owed: "11050.00" },
      down: { percent: "15" },
    },
    plan: { yearlyRate: "6.75", payments: 84, signed: "2026-11-14" },
  },
  {
    // From a deal file: which rate keeps the two-weekly payment at 265.00, with a balloon left?
    customer: "Tamsin Wherry",
    vehicle: "no. 2052",
    status: "quoting",
    changed: "2026-11-23T09:30:00Z",
    structure: { price: "35995.00", down: { amount: "4000.00" } },
    plan: {
      frequency: "everyTwoWeeks",
      payments: 104,
      signed: "2026-11-23",
      payment: "265.00",
      balloon: { amount: "9000.00" },
    },
    find: "yearlyRate",
  },
  {
    // A flat rate, which comes to nearly twice as much.
    customer: "Eskil Marchbanks",
    vehicle: "Kitchen refit",
    status: "quoting",
    changed: "2026-11-20T11:05:00Z",
    structure: { price: "18600.00" },
    plan: { kind: "flatRate", yearlyRate: "5", payments: 36, signed: "2026-11-20" },
  },
];

/** The same ids each time, so that the demo is the same data wherever it is loaded. */
const optionId = (place: number) => `00000000-0000-4000-8000-${String(place + 1).padStart(12, "0")}`;

const FILE = { format: "kellux-deal", version: 1, currency: "USD" } as const;

const loans = [...deals, ...MORE_DEALS].map(
  ({ structure, plan, find = "payment", early, return: earns, ...heading }) => ({
    heading,
    tried: { early, earns },
    inputs: {
      ...FILE,
      structure,
      plan: { kind: "loan", frequency: "monthly", ...plan },
      find,
    } satisfies DealFile,
  }),
);

const leases = LEASES.map(({ structure, plan, ...heading }) => ({
  heading,
  tried: {},
  inputs: { ...FILE, structure, plan: { kind: "lease", ...plan }, find: "payment" } satisfies DealFile,
}));

/** A deal with the options that it has beside its first. */
function withOptions(document: DealDocument, customer: string, place: number): DealDocument {
  const beside = OPTIONS[customer];
  const [first] = document.options;
  if (!beside || !first) return document;
  const others = beside
    .options(first.inputs)
    .map((option, k) => ({ id: optionId(100 * (place + 1) + k), ...option }));
  const options = [first, ...others];
  return { ...document, budget: beside.budget, options, chosen: options[beside.chosen]?.id ?? first.id };
}

/** What is tried on a deal and assumed of it. */
function asidesOf(
  { early, earns }: { early?: ExtraFile | undefined; earns?: DemoDeal["return"] },
  customer: string,
  id: string,
) {
  const theirs = THEIRS[customer];
  return asidesMember({
    ...(earns && { return: earns }),
    ...KEPT[customer],
    ...((early || theirs) && { options: { [id]: { ...(early && { early }), ...(theirs && { theirs }) } } }),
  });
}

/** What the dealer alone knows of a deal. */
function dealerOf(known: (typeof INCOME)[string] | undefined, { options }: DealDocument): Dealer | undefined {
  if (!known) return undefined;
  const ofOptions = options.map(({ id, inputs }, index) => [
    id,
    dealerOfFile(inputs.structure, known.options[index]),
  ]);
  return {
    options: Object.fromEntries(ofOptions),
    ...(known.applicant && { applicant: known.applicant }),
  };
}

export const DEMO_DEALS = [...loans, ...leases].map(
  ({ heading: { customer, vehicle, status, changed }, inputs, tried }, place) => {
    const document = documentOf(
      { customer: demoCustomer(customer), vehicle: demoVehicle(vehicle), status, place: "US" },
      { id: optionId(place), name: "", inputs },
    );
    const whole = withOptions(document, customer, place);
    const dealer = dealerOf(INCOME[`${customer} ${vehicle}`], whole);
    return {
      ...whole,
      ...asidesOf(tried, customer, optionId(place)),
      ...(dealer && { dealer }),
      changedAt: new Date(changed),
    };
  },
);
