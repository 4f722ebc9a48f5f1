// Leases of the demo scenario.
import type { LeaseFile } from "@/exchange/kinds/lease";
import type { DemoHeading } from "./scenario";

/** A lease of the scenario. */
export type DemoLease = DemoHeading & {
  structure: LeaseFile["structure"];
  plan: Omit<LeaseFile["plan"], "kind">;
};

const COUNTY_TAX = { name: "Marrow County tax", rate: "6.25", on: ["payment" as const] };

export const LEASES: readonly DemoLease[] = [
  {
    // By money factor, with everything that a vehicle's lease can have.
    customer: "Rosalind Tarbet",
    vehicle: "no. 2052",
    status: "quoting",
    changed: "2026-11-24T11:50:00Z",
    structure: {
      listPrice: "41850.00",
      price: "40900.00",
      fees: [
        { name: "Documents", amount: "299.00", taxable: true },
        { name: "Plates and title", amount: "399.55", financed: false },
      ],
      tradeIns: [{ name: "Ostrel U1, 2019", allowance: "9200.00", owed: "8150.00" }],
      rebates: [{ name: "Maker's rebate", amount: "744.00" }],
      down: { dueAtSigning: "3000.00" },
    },
    plan: {
      reckoning: "moneyFactor",
      moneyFactor: "0.00225",
      payments: 36,
      frequency: "monthly",
      signed: "2026-11-24",
      inAdvance: 1,
      residual: { percent: "43.6", of: "listPrice" },
      acquisitionFee: { amount: "595.00" },
      securityDeposit: { roundedUpTo: "50" },
      taxes: [COUNTY_TAX],
      distance: { perYear: 12000, unit: "mi", beyond: "0.22", expected: 15000 },
      earlyFee: "350.00",
      dispositionFee: "395.00",
      purchaseFee: "300.00",
    },
  },
  {
    // By level yield, three payments in advance, the residual one period after the last.
    customer: "Leocadia Burr",
    vehicle: "no. 1203",
    status: "agreed",
    changed: "2026-11-23T14:20:00Z",
    structure: { listPrice: "66500.00", price: "64000.00" },
    plan: {
      reckoning: "levelYield",
      yearlyRate: "8.4",
      payments: 48,
      frequency: "monthly",
      signed: "2026-11-23",
      inAdvance: 3,
      residual: { amount: "9600.00" },
      residualDue: "onePeriodAfter",
      purchaseFee: "250.00",
    },
  },
  {
    // Cargo bikes, first and last in advance, quarterly, down to a few percent.
    customer: "Marrow Bay Post",
    vehicle: "Six Pennywhistle Postal cargo bikes",
    status: "quoting",
    changed: "2026-11-22T16:40:00Z",
    structure: { price: "32880.00", fees: [{ name: "Delivery", amount: "240.00" }] },
    plan: {
      reckoning: "levelYield",
      yearlyRate: "7.2",
      payments: 12,
      frequency: "quarterly",
      signed: "2026-11-22",
      inAdvance: 2,
      residual: { percent: "5", of: "price" },
      residualDue: "end",
      taxes: [{ ...COUNTY_TAX, on: ["payment", "purchase"] }],
    },
  },
  {
    // Paid at once.
    customer: "Emmeric Sloane",
    vehicle: "no. 1190",
    status: "quoting",
    changed: "2026-11-21T12:15:00Z",
    structure: { listPrice: "43200.00", price: "40000.00" },
    plan: {
      reckoning: "moneyFactor",
      moneyFactor: "0.00225",
      payments: 36,
      frequency: "monthly",
      signed: "2026-11-21",
      inAdvance: 36,
      residual: { amount: "18240.00" },
      dispositionFee: "395.00",
    },
  },
];
