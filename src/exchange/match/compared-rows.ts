import type { Quote } from "@/core";
import {
  type Matched,
  type MatchWay,
  STATED_AMOUNTS,
  type Stated,
  type StatedAmount,
  type StatedFigure,
} from "@/core/match";
import { amountIn, decimalIn, type Notation } from "../notation";
import { statedName } from "./stated-words";

/** A figure as they say it, as a way has it and as the deal has it, with where it comes from. */
export type ComparedRow = {
  name: string;
  stated: string;
  way: string;
  isGiven: boolean;
  usual: string;
  /** What the deal's own is off by; nothing where it is not. */
  usualOff: string;
  from: string;
};

type Written = { quote: Quote; notation: Notation };

/** A stated figure as it was typed. */
const statedText = ({ units, decimals }: StatedFigure, notation: Notation): string =>
  decimalIn((units / 10 ** decimals).toFixed(decimals), notation);

/**
 * Every stated figure beside that of a way and the deal's own, as a place writes them.
 *
 * @param way the way that gives them, or the nearest
 */
export function comparedRows(
  matched: Matched,
  way: MatchWay,
  stated: Stated,
  written: Written,
): ComparedRow[] {
  const { quote, notation } = written;
  const money = (minor: number | undefined) =>
    minor === undefined ? "–" : amountIn(Math.round(minor), quote.filled.currency, notation);
  const isLease = quote.kind === "lease";
  const { balance, payoff, apr } = stated;
  const amounts: [StatedAmount | "balance" | "payoff", string, StatedFigure][] = [];
  for (const name of STATED_AMOUNTS) {
    const figure = stated[name];
    if (figure) amounts.push([name, statedName(name, isLease), figure]);
  }
  if (balance) amounts.push(["balance", `Owed after payment ${balance.after}`, balance.amount]);
  if (payoff) amounts.push(["payoff", "Payoff", payoff.amount]);
  const rows = amounts.map(
    ([name, called, figure]): ComparedRow => ({
      name: called,
      stated: statedText(figure, notation),
      way: money(way.figures[name]),
      isGiven: (way.off[name] ?? 0) === 0,
      usual: money(matched.usual.figures[name]),
      usualOff: offText(matched.usual.off[name], quote.filled.currency, notation),
      from: FROM[name]?.(way, matched, written) ?? "",
    }),
  );
  return apr ? [...rows, aprRow(apr, matched, way, written)] : rows;
}

const FEWEST_DECIMALS = 2;

function aprRow(
  apr: StatedFigure,
  { usual }: Matched,
  way: MatchWay,
  { quote, notation }: Written,
): ComparedRow {
  const percent = (value: number | undefined) =>
    value === undefined
      ? "–"
      : `${decimalIn(value.toFixed(Math.max(apr.decimals, FEWEST_DECIMALS)), notation)} %`;
  return {
    name: statedName("apr", quote.kind === "lease"),
    stated: `${statedText(apr, notation)} %`,
    way: percent(way.figures.apr),
    isGiven: (way.off.apr ?? 0) === 0,
    usual: percent(usual.figures.apr),
    usualOff: percentOffText(usual.off.apr, notation),
    from: "",
  };
}

/** Of the unrounded payment so many decimals of a minor unit are shown. */
const FINER = 2;

type From = (way: MatchWay, matched: Matched, written: Written) => string;

/** How much more a figure is than in the deal. */
const moreOf =
  (name: StatedAmount): From =>
  (way, { usual }, { quote, notation }) => {
    const more = Math.round(way.figures[name] - usual.figures[name]);
    if (more === 0) return "";
    return `${amountIn(Math.abs(more), quote.filled.currency, notation)} ${more < 0 ? "less" : "more"} than here`;
  };

/** Where a figure of a way comes from. */
const FROM: { [Name in StatedAmount | "balance" | "payoff"]?: From } = {
  payment: ({ figures }, _, { quote, notation }) => {
    const { decimals } = quote;
    const exact = decimalIn((figures.unrounded / 10 ** decimals).toFixed(decimals + FINER), notation);
    return `${exact} before ${quote.kind === "lease" ? "tax, and before " : ""}it is rounded`;
  },
  lastPayment: ({ rowsWithOther }, _, { quote }) => {
    if (rowsWithOther === 0) return "";
    const word = quote.kind === "lease" ? "rent" : "interest";
    return rowsWithOther === 1 ? `1 row has another ${word}` : `${rowsWithOther} rows have another ${word}`;
  },
  totalOfPayments: moreOf("totalOfPayments"),
  financeCharge: moreOf("financeCharge"),
  amountFinanced: moreOf("amountFinanced"),
};

/** What a figure of a near way is off by, as it is written beside it; nothing where it is not. */
export function offText(minor: number | undefined, currency: string, notation: Notation): string {
  if (minor === undefined || minor === 0) return "";
  const whole = Math.round(Math.abs(minor));
  return `${minor < 0 ? "−" : "+"} ${whole === 0 ? "part of a cent" : amountIn(whole, currency, notation)}`;
}

const POINT_DECIMALS = 3;

/** The same of a percent. */
export function percentOffText(off: number | undefined, notation: Notation): string {
  if (off === undefined || off === 0) return "";
  return `${off < 0 ? "−" : "+"} ${decimalIn(Math.abs(off).toFixed(POINT_DECIMALS), notation)}`;
}
