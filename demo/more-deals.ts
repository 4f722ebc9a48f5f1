// Deals of the demo scenario with long structures, personal loans, and each plan that a loan can have.
import type { DemoDeal } from "./scenario";

const SALES_TAX = {
  name: "Marrow County tax",
  rate: "6.25",
  on: ["price" as const, "fees" as const, "extras" as const],
};
const DOCUMENTS = { name: "Documents", amount: "299.00", taxable: true };
const ORIGINATION = {
  name: "Origination",
  percentOf: "loanAmount" as const,
  percent: "1.5",
  financeCharge: true,
};

/** Long structures. */
const STRUCTURES: DemoDeal[] = [
  {
    customer: "Aurelio Pennant",
    vehicle: "no. 1190",
    status: "quoting",
    changed: "2026-11-24T11:30:00Z",
    structure: {
      price: "41850.00",
      taxes: [{ ...SALES_TAX, tradeInCredit: true }],
      fees: [DOCUMENTS, ORIGINATION],
      extras: [{ id: "service-contract", name: "Service contract, 5 years", amount: "1890.00" }],
      rebates: [{ name: "Maker's rebate", amount: "1800.00" }],
      tradeIns: [{ name: "Ostrel U1, 2019", allowance: "9200.00", owed: "11050.00" }],
      down: { amount: "3000.00" },
      deposit: "500.00",
    },
    plan: { yearlyRate: "6.49", payments: 72, signed: "2026-11-24" },
  },
  {
    // Two trade-ins, two taxes, one of them paid at signing, and cover that is paid with each payment.
    customer: "Hesper Vale",
    vehicle: "no. 2052",
    status: "quoting",
    changed: "2026-11-24T10:40:00Z",
    structure: {
      price: "35995.00",
      taxes: [
        { ...SALES_TAX, tradeInCredit: "10000.00", rebateCredit: true },
        { name: "Road tax", rate: "0.5", on: ["price"], cap: "150.00", financed: false },
      ],
      fees: [
        DOCUMENTS,
        { name: "Title and plates", amount: "184.50", financed: false },
        { name: "Account fee", amount: "4.50", with: "eachPayment", financeCharge: true },
      ],
      extras: [{ id: "gap-cover", name: "Gap cover", amount: "640.00" }],
      rebates: [{ name: "Fleet rebate", amount: "750.00" }],
      tradeIns: [
        { name: "Ostrel U1, 2017", allowance: "7400.00", owed: "0" },
        { name: "Larkmoor Fold, 2018", allowance: "6100.00", owed: "8250.00" },
      ],
      down: { percent: "10", of: "total" },
    },
    plan: { yearlyRate: "6.90", payments: 60, signed: "2026-11-24" },
  },
  {
    // Taxes in the price.
    customer: "Tibor Ashgrove",
    vehicle: "no. 3322",
    status: "quoting",
    changed: "2026-11-22T15:12:00Z",
    structure: {
      price: "14600.00",
      taxIncluded: true,
      taxes: [{ name: "Sales tax", rate: "20", on: ["price", "extras"] }],
      extras: [{ name: "Spare wheel and lock", amount: "420.00", taxable: true }],
      down: { dueAtSigning: "2000.00" },
    },
    plan: { yearlyRate: "7.40", payments: 48, signed: "2026-11-22" },
  },
];

/** Personal loans: a fee added, a fee kept back, a debt paid off. */
const PERSONAL: DemoDeal[] = [
  {
    customer: "Bram Teasel",
    vehicle: "Kitchen refit",
    status: "quoting",
    changed: "2026-11-21T09:50:00Z",
    structure: {
      price: "12000.00",
      purpose: "Kitchen refit",
      fees: [{ ...ORIGINATION, percent: "2" }],
      payoffs: [{ name: "Card", amount: "2400.00" }],
    },
    plan: { yearlyRate: "9.90", payments: 48, signed: "2026-11-21" },
  },
  {
    customer: "Linnet Arkwright",
    vehicle: "Dental work",
    status: "agreed",
    changed: "2026-11-19T10:05:00Z",
    structure: {
      price: "7500.00",
      purpose: "Dental work",
      fees: [
        { ...ORIGINATION, percent: "2", keptBack: true },
        { name: "Payment cover", percentOf: "totalOfPayments", percent: "1.2" },
      ],
    },
    plan: { yearlyRate: "10.25", payments: 30, signed: "2026-11-19" },
  },
];

const planned = (customer: string, vehicle: string, price: string, plan: DemoDeal["plan"]): DemoDeal => ({
  customer,
  vehicle,
  status: "quoting",
  changed: "2026-11-15T12:00:00Z",
  structure: { price, down: { percent: "10" } },
  plan: { yearlyRate: "6.75", payments: 48, signed: "2026-11-15", ...plan },
});

/** The plans that the other deals do not have. */
const PLANS: DemoDeal[] = [
  planned("Corisande Bly", "no. 1214", "36450.00", {
    balloon: { percent: "30" },
  }),
  planned("Dorrit Halloway", "no. 2044", "39760.00", {
    kind: "equalPrincipal",
  }),
  planned("Ephraim Stoll", "no. 2058", "37240.00", { interestOnly: 6 }),
  planned("Fenella Quist", "no. 1904", "21900.00", {
    deferred: { payments: 3, interest: "accrues" },
  }),
  planned("Gideon Larke", "no. 3314", "4275.00", {
    skippedMonths: [12, 1],
  }),
  planned("Hedda Morrow", "no. 0961", "24300.00", {
    steps: [
      { from: 13, percent: "5" },
      { from: 25, percent: "5" },
    ],
  }),
  planned("Isolde Crake", "no. 4405", "6150.00", {
    payments: undefined,
    datedPayments: [
      { date: "2027-03-15", amount: "1500.00" },
      { date: "2027-09-15", amount: "2000.00" },
      { date: "2028-03-15" },
    ],
  }),
];

export const MORE_DEALS: readonly DemoDeal[] = [...STRUCTURES, ...PERSONAL, ...PLANS];
