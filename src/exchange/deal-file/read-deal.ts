import {
  type CashDown,
  type DayNumber,
  type Deal,
  failure,
  parseAmount,
  parseIsoDate,
  type Result,
  readCurrency,
  success,
} from "@/core";
import type { DealFile } from "./schema";

const NAMES = {
  price: "price",
  allowance: "trade-in allowance",
  owed: "amount owed on the trade-in",
  down: "cash down",
  payment: "payment",
};
type AmountFigure = keyof typeof NAMES;
type Typed = string | number | undefined;

/**
 * Turns a deal file that passed its schema into the deal that the core computes with.
 *
 * @returns the deal, or a failure naming the figure that cannot be read or contradicts `find`
 */
export function readDeal(file: DealFile): Result<Deal> {
  const decimals = readCurrency(file.currency);
  if (!decimals.ok) return decimals;
  const { structure, plan } = file;
  const found = foundIsGiven(file);
  if (found) return failure(found, `The ${NAMES[found]} is being found, so the file must leave it out.`);

  const amounts = readAmounts(
    {
      price: structure.price,
      allowance: structure.tradeIn?.allowance ?? 0,
      owed: structure.tradeIn?.owed ?? 0,
      down: structure.down && "amount" in structure.down ? structure.down.amount : 0,
      payment: plan.payment,
    },
    decimals.value,
  );
  if (!amounts.ok) return amounts;
  const signed = readDate("signed", plan.signed);
  if (!signed.ok) return signed;
  const firstPayment = readDate("firstPayment", plan.firstPayment);
  if (!firstPayment.ok) return firstPayment;

  const { price, allowance, owed, down, payment } = amounts.value;
  return success({
    currency: file.currency,
    structure: {
      price,
      tradeIn: { allowance: allowance ?? 0, owed: owed ?? 0 },
      down: file.find === "down" ? null : cashDownOf(structure.down, down ?? 0),
    },
    plan: {
      kind: plan.kind,
      yearlyRate: plan.yearlyRate === undefined ? null : String(plan.yearlyRate),
      payments: plan.payments ?? null,
      frequency: plan.frequency,
      rounding: plan.rounding ?? "nearest",
      signed: signed.value,
      firstPayment: firstPayment.value,
      payment,
    },
    find: file.find,
  });
}

function foundIsGiven({ find, structure, plan }: DealFile): AmountFigure | undefined {
  const given = { price: structure.price, down: structure.down, payment: plan.payment }[find];
  return given === undefined ? undefined : find;
}

function cashDownOf(down: DealFile["structure"]["down"], amount: number): CashDown {
  return down && "percent" in down ? { percent: String(down.percent) } : { amount };
}

function readAmounts(
  typed: Record<AmountFigure, Typed>,
  decimals: number,
): Result<Record<AmountFigure, number | null>> {
  const amounts = {} as Record<AmountFigure, number | null>;
  for (const figure of Object.keys(typed) as AmountFigure[]) {
    const text = typed[figure];
    const minor = text === undefined ? null : parseAmount(String(text), decimals);
    if (minor === undefined) {
      const accepted = `an amount from 0 to 1,000,000,000 with at most ${decimals} decimals`;
      return failure(figure, `The ${NAMES[figure]} is ${text}; it must be ${accepted}.`);
    }
    amounts[figure] = minor;
  }
  return success(amounts);
}

function readDate(figure: "signed" | "firstPayment", text: string | undefined): Result<DayNumber | null> {
  if (text === undefined) return success(null);
  const date = parseIsoDate(text);
  if (date !== undefined) return success(date);
  const name = figure === "signed" ? "contract date" : "first payment date";
  return failure(figure, `The ${name} ${text} is not a date from 1900-01-01 to 2199-12-31.`);
}
