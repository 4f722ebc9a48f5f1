import {
  AMOUNT_LINE_NAMES,
  AMOUNT_LINES,
  type CashDown,
  type Charge,
  type ChargePaid,
  type FoundFigure,
  type LineNames,
  type Personal,
  type Rebate,
  type Structure,
  type TradeIn,
} from "@/core";
import type { Reader } from "../reading";
import { refuseContradictions } from "./contradictions";
import { type PaidBy, paidBy } from "./paid-by";
import type { ExtraFile, FeeFile, RebateFile, StructureFile, TaxFile, TradeInFile } from "./structure.schema";

/** Turns a structure that passed its schema into the one that the core computes with. */
export function readStructure(file: StructureFile, find: FoundFigure, read: Reader): Structure {
  refuseContradictions(file, read);
  const { taxIncluded, taxes, fees, extras, rebates, purpose } = file;
  const structure: Structure = {
    price: read.amount("price", purpose === undefined ? "price" : "amount asked for", file.price),
    tradeIns: tradeInsOf(file).map(tradeIn => readTradeIn(tradeIn, find, read)),
    down: find === "down" || find === "downPercent" ? null : readDown(file.down, read),
  };
  if (taxIncluded) structure.isTaxIncluded = true;
  if (taxes) structure.taxes = taxes.map(tax => readTax(tax, read));
  if (fees) structure.fees = fees.map(fee => readCharge(fee, read));
  if (extras) structure.extras = extras.map(extra => readCharge(extra, read));
  if (rebates) structure.rebates = rebates.map(rebate => readRebate(rebate, read));
  for (const line of AMOUNT_LINE_NAMES) {
    const amount = file[line];
    if (amount !== undefined)
      structure[line] = read.amount(line, AMOUNT_LINES[line].label.toLowerCase(), amount) ?? 0;
  }
  if (file.names) structure.names = file.names as LineNames;
  if (purpose !== undefined) structure.personal = { purpose, payoffs: readPayoffs(file, read) };
  return structure;
}

function readRebate({ name, amount, beforeTax = false }: RebateFile, read: Reader): Rebate {
  return { name, amount: read.amount("rebates", name, amount) ?? 0, isBeforeTax: beforeTax };
}

function readPayoffs({ payoffs = [] }: StructureFile, read: Reader): Personal["payoffs"] {
  return payoffs.map(({ name, amount }) => ({ name, amount: read.amount("payoffs", name, amount) ?? 0 }));
}

/** The trade-ins of a structure; a file of before has one, outside a list. */
export function tradeInsOf({ tradeIn, tradeIns }: StructureFile): readonly TradeInFile[] {
  return tradeIns ?? (tradeIn ? [tradeIn] : []);
}

function readTradeIn({ name, allowance, owed }: TradeInFile, find: FoundFigure, read: Reader): TradeIn {
  const given = read.amount("allowance", "trade-in allowance", allowance);
  return {
    ...(name !== undefined && { name }),
    allowance: given ?? (find === "allowance" ? null : 0),
    owed: read.amount("owed", "amount owed on the trade-in", owed) ?? 0,
  };
}

function readDown(down: StructureFile["down"], read: Reader): CashDown {
  if (down && "percent" in down) return { percent: String(down.percent), ...(down.of && { of: down.of }) };
  if (down && "dueAtSigning" in down)
    return { dueAtSigning: read.amount("dueAtSigning", "sum due at signing", down.dueAtSigning) ?? 0 };
  return { amount: read.amount("down", "cash down", down?.amount) ?? 0 };
}

/** What a tax of a structure and one of a lease have in common. */
type AnyTaxFile = Omit<TaxFile, "on"> & { on: readonly string[] };

/** Reads a tax, whatever it is on. */
export function readTax<File extends AnyTaxFile>(tax: File, read: Reader) {
  const { name, rate, on, tradeInCredit = false, rebateCredit = false, rounding, capOn, cap, financed } = tax;
  return {
    name,
    rate: String(rate),
    on: on as File["on"],
    tradeInCredit:
      typeof tradeInCredit === "boolean"
        ? tradeInCredit
        : (read.amount("taxes", `most credited by ${name}`, tradeInCredit) ?? 0),
    rebateCredit,
    rounding: rounding ?? "nearest",
    ...(capOn !== undefined && { capOn: read.amount("taxes", `most taxed by ${name}`, capOn) ?? 0 }),
    ...(cap !== undefined && { cap: read.amount("taxes", `most ${name}`, cap) ?? 0 }),
    isFinanced: financed ?? true,
  };
}

function readCharge(charge: FeeFile | ExtraFile, read: Reader): Charge {
  const { name, amount, percentOf, percent, taxable = false, financeCharge = false } = charge;
  return {
    name,
    amount:
      percentOf === undefined
        ? { minor: read.amount("fees", name, amount) ?? 0 }
        : { percent: String(percent ?? 0), of: percentOf },
    isTaxable: taxable,
    paid: PAID[paidBy(charge)],
    isFinanceCharge: financeCharge,
  };
}

const PAID: Record<PaidBy, ChargePaid> = {
  financed: "financed",
  atSigning: "atSigning",
  keptBack: "keptBack",
  firstPayment: "withFirstPayment",
  lastPayment: "withLastPayment",
  eachPayment: "withEachPayment",
};
