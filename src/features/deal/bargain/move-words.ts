import type { Move, MoveFigure, MoveValue, Wanted } from "@/core/moves";
import type { DealFile } from "@/exchange/deal-file";
import { amountIn, dateIn, inNotation, type Notation } from "@/exchange/notation";
import { rateText } from "@/exchange/text";
import { lineName } from "../fields/line-fields";
import { askedOf } from "../kinds/asked";

const NAMES: Record<Exclude<MoveFigure, "extra" | "price">, string> = {
  down: "Cash down",
  allowance: "Trade-in allowance",
  yearlyRate: "Yearly rate",
  moneyFactor: "Money factor",
  payments: "Number of payments",
  balloon: "Left at the end (balloon)",
  residual: "Residual",
  inAdvance: "Payments at signing",
  extraEach: "Extra with every payment",
};

/** What is moved, as the deal names it. */
export function moveName({ figure, index = 0 }: Move, inputs: DealFile): string {
  if (figure === "extra") return `Without ${lineName(inputs, "extras", index)}`;
  if (figure !== "price") return NAMES[figure];
  return inputs.structure.purpose === undefined ? askedOf(inputs).priceName : "Amount asked for";
}

/** Writes what is moved. */
export type MoveWriter = {
  /** "6,000.00", "6.49 %", "72", "none". */
  value: (figure: MoveFigure, value: MoveValue) => string;
  /** "+ 2,721.75", "− 2.5296". */
  by: (figure: MoveFigure, from: MoveValue, to: MoveValue) => string;
  money: (minor: number) => string;
  /** With its sign. */
  difference: (minor: number) => string;
  wanted: (wanted: Wanted) => string;
};

const IN_COUNTS: ReadonlySet<MoveFigure> = new Set(["payments", "inAdvance"]);

/** Writes the figures of a deal's moves as people of its place do. */
export function moveWriter(currency: string, notation: Notation): MoveWriter {
  const money = (minor: number) => amountIn(minor, currency, notation);
  const difference = (minor: number) => `${minor < 0 ? "−" : "+"} ${money(Math.abs(minor))}`;
  const value = (figure: MoveFigure, is: MoveValue): string => {
    if (is === null) return "none";
    if (figure === "yearlyRate") return `${inNotation(String(is), notation)} %`;
    if (typeof is === "string") return inNotation(is, notation);
    return IN_COUNTS.has(figure) ? String(is) : money(is);
  };
  return {
    value,
    money,
    difference,
    by: (figure, from, to) => {
      const by = Number(to ?? 0) - Number(from ?? 0);
      if (by === 0) return "";
      const sign = by < 0 ? "−" : "+";
      if (typeof (to ?? from) === "string") return `${sign} ${inNotation(rateText(Math.abs(by)), notation)}`;
      return IN_COUNTS.has(figure) ? `${sign} ${Math.abs(by)}` : difference(by);
    },
    wanted: ({ figure, value: is }) => (figure === "endDate" ? dateIn(is, notation) : money(is)),
  };
}
