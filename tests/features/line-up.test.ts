import { moneyOverTime } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import type { LeaseFile } from "@/exchange/kinds/lease";
import type { LoanFile } from "@/exchange/kinds/loan";
import {
  type Column,
  differenceBetween,
  inputRows,
  lineUpRows,
  owedRow,
} from "@/features/deal/line-up/line-up";
import { openOption } from "./load-desk";

const loan: LoanFile = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: {
    price: "41850.00",
    tradeIn: { allowance: "9200.00", owed: "11050.00" },
    down: { amount: "3000.00" },
  },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 72, signed: "2026-11-24" },
  find: "payment",
};
const lease: LeaseFile = {
  ...loan,
  structure: { price: "40000.00" },
  plan: {
    kind: "lease",
    reckoning: "moneyFactor",
    moneyFactor: "0.00225",
    frequency: "monthly",
    payments: 36,
    inAdvance: 1,
    residual: { amount: "18240.00" },
    signed: "2026-11-24",
  },
  find: "payment",
} as LeaseFile;

function columns(...all: DealFile[]): Column[] {
  return all.map((inputs, index) => {
    const state = openOption(inputs);
    return {
      id: String(index),
      called: `Option ${index}`,
      state,
      money: state.answer.ok ? moneyOverTime(state.answer.value) : [],
    };
  });
}

const row = (shown: Column[], name: string) => lineUpRows(shown).find(each => each.name === name);
const minors = (shown: Column[], name: string) =>
  row(shown, name)?.cells.map(({ figure }) => (figure?.unit === "money" ? figure.minor : figure));
const marks = (shown: Column[], name: string) => row(shown, name)?.cells.map(({ best }) => best);

const shorter: LoanFile = { ...loan, plan: { ...loan.plan, payments: 60 } };
const cheaper: LoanFile = { ...loan, plan: { ...loan.plan, yearlyRate: "5.9" } };

test("loans and leases have rows of their own: no lease has an APR or a finance charge", () => {
  const both = columns(loan, lease);
  for (const name of ["APR", "Finance charge", "Total cost", "Loan amount", "Amount financed"]) {
    expect(row(both, name)?.cells[1]?.figure).toBeNull();
    expect(row(both, name)?.cells[0]?.figure).not.toBeNull();
  }
  for (const name of [
    "Rent charge",
    "Implicit rate",
    "Total cost, handed back",
    "Adjusted capitalized cost",
  ]) {
    expect(row(both, name)?.cells[0]?.figure).toBeNull();
    expect(row(both, name)?.cells[1]?.figure).not.toBeNull();
  }
  expect(row(columns(loan), "Rent charge")).toBeUndefined();
  expect(minors(both, "Payment")).toEqual([68_397, expect.any(Number)]);
});

test("the best is marked only among what can be compared by it", () => {
  // Another term: a lower payment is no better one.
  expect(marks(columns(loan, shorter), "Payment")).toEqual([undefined, undefined]);
  expect(marks(columns(loan, cheaper), "Payment")).toEqual([undefined, "lowest"]);
  expect(marks(columns(loan, shorter, cheaper), "Payment")).toEqual([undefined, undefined, "lowest of 1, 3"]);
  const lessDown: LoanFile = { ...cheaper, structure: { ...cheaper.structure, down: { amount: "0" } } };
  expect(marks(columns(loan, lessDown), "Payment")).toEqual([undefined, undefined]);
  expect(marks(columns(loan, shorter), "Total cost")).toEqual([undefined, "lowest"]);
  expect(marks(columns(loan, shorter, lease), "Finance charge")).toEqual([undefined, "lowest", undefined]);
  expect(marks(columns(loan, loan), "Total cost")).toEqual([undefined, undefined]);
});

test("differences are amounts, of one unit only", () => {
  const [one, two] = [{ unit: "money", minor: 500 } as const, { unit: "money", minor: 300 } as const];
  expect(differenceBetween(one, two)).toEqual({ unit: "money", minor: 200 });
  expect(differenceBetween(one, one)).toBeNull();
  expect(differenceBetween(one, { unit: "percent", percent: 3, text: "3" })).toBeNull();
  expect(
    differenceBetween(
      { unit: "percent", percent: 6.19, text: "6.19" },
      { unit: "percent", percent: 6.49, text: "6.49" },
    ),
  ).toMatchObject({ text: "0.3" });
});

test("what is owed after some months, and what was typed: what differs, and what is the same", () => {
  const both = columns(loan, lease);
  expect(owedRow(both, 0).cells.map(({ figure }) => figure)).toEqual([
    { unit: "money", minor: 4_070_000 },
    { unit: "money", minor: expect.any(Number) },
  ]);
  expect(owedRow(both, 36).cells[1]?.figure).toEqual({ unit: "money", minor: 1_824_000 });
  expect(owedRow(both, 40).cells[1]?.figure).toEqual({ unit: "words", text: "ended" });
  const { differing, same } = inputRows(
    columns(loan, { ...shorter, structure: { ...loan.structure, down: { percent: "10" } } }),
  );
  expect(differing).toEqual([
    {
      name: "cash down",
      cells: [
        { figure: { unit: "words", text: "3,000.00" } },
        { figure: { unit: "words", text: "10 % of the price" } },
      ],
    },
  ]);
  expect(same.map(([name]) => name)).toContain("price");
});
