// Random deals, each with a lender that departs from their conventions in up to three things.
import fc from "fast-check";
import type { LoanDeal, LoanQuote } from "@/core";
import type { Departure, Stated } from "@/core/match";
import { loanMachine } from "@/core/match/loan/machine";
import type { Choice } from "@/core/match/way";
import { dealWith, quoteOf } from "../deals";
import { type AnyMachine, takenBy } from "./picked-ways";
import { monthsOn, type TheirLoan, type TheirTerms, theirLoan, withDeparture } from "./their-loan";

const SIGNED = 20_788;

/** A deal with what its own conventions are to a lender. */
export type DealOfTheirs = { deal: LoanDeal; terms: TheirTerms };

const drawn = fc.record({
  price: fc.integer({ min: 8_000_00, max: 60_000_00 }),
  down: fc.constantFrom(0, 1_500_00, 3_250_00),
  allowance: fc.constantFrom(0, 2_400_00),
  owed: fc.constantFrom(0, 1_130_00),
  rate: fc.constantFrom("4.9", "6.1", "7.25", "8.375", "11.99"),
  payments: fc.constantFrom(12, 24, 36, 48, 60, 72),
  hasDates: fc.boolean(),
  signedDay: fc.integer({ min: 0, max: 20 }),
  odd: fc.integer({ min: -12, max: 40 }),
  hasBalloon: fc.constantFrom(false, false, true),
  count: fc.constantFrom("equal", "equal", "equal", "actual/365", "actual/360"),
});

export const dealsOfTheirs: fc.Arbitrary<DealOfTheirs> = drawn.map(
  ({ price, down, allowance, owed, rate, payments, hasDates, signedDay, odd, hasBalloon, count }) => {
    const signed = SIGNED + signedDay - new Date(SIGNED * 86_400_000).getUTCDate() + 1;
    const near = monthsOn(signed, 1) + odd;
    // A day that every month has, so that the months after it keep it.
    const first = new Date(near * 86_400_000).getUTCDate() > 28 ? near + 5 : near;
    const balloon = hasBalloon ? Math.round(price / 4) : 0;
    const counted = hasDates ? count : "equal";
    const deal = dealWith(
      {
        price,
        down: { amount: down },
        tradeIns: allowance + owed > 0 ? [{ allowance, owed }] : [],
        fees: [
          {
            name: "Documents",
            amount: { minor: 299_00 },
            isTaxable: true,
            paid: "financed",
            isFinanceCharge: false,
          },
          {
            name: "Plates",
            amount: { minor: 187_50 },
            isTaxable: false,
            paid: "atSigning",
            isFinanceCharge: false,
          },
        ],
        taxes: [
          {
            name: "County tax",
            rate: "6.25",
            on: ["price"],
            tradeInCredit: true,
            rebateCredit: false,
            rounding: "nearest",
            isFinanced: true,
          },
        ],
      },
      {
        yearlyRate: rate,
        payments,
        signed: hasDates ? signed : null,
        firstPayment: hasDates ? first : null,
        ...(balloon > 0 && { balloon: { amount: balloon } }),
        ...(counted !== "equal" && { dayCount: counted as "actual/365" }),
      },
    );
    const terms: TheirTerms = {
      lines: {
        price,
        down,
        allowance,
        owed,
        taxRate: "6.25",
        isTradeInCredited: true,
        isTaxOnFees: false,
        documents: 299_00,
        isDocumentsAtSigning: false,
        plates: 187_50,
        isPlatesFinanced: false,
        more: 0,
      },
      rate,
      payments,
      signed: hasDates ? signed : SIGNED,
      first: hasDates ? first : monthsOn(SIGNED, 1),
      balloon,
      count: counted,
      timing: "arrears",
      compounding: "payments",
      firstDays: "charged",
      start: hasDates ? signed : SIGNED,
      rule: "nearest",
      step: 1,
      rounded: null,
      rows: "halfUp",
      isLastAdjusted: true,
      isFlat: false,
    };
    return { deal, terms };
  },
);

/** A lender's loan that departs in some things, and the machine that is asked for them. */
export type Lender = {
  quote: LoanQuote;
  terms: TheirTerms;
  machine: AnyMachine;
  taken: Choice<unknown>[];
  loan: TheirLoan;
  count: number;
};

/** The lender of a deal that takes the choices which some places point at; null where there is no such loan. */
export function lenderOf({ deal, terms }: DealOfTheirs, at: readonly number[]): Lender | null {
  const quote = quoteOf(deal);
  const machine = loanMachine(quote, {}) as AnyMachine | null;
  if (!machine) return null;
  const { taken, count } = takenBy(machine, at);
  const loan = loanBy(
    terms,
    taken.map(({ departure }) => departure),
  );
  return loan && loan.payment > 0 ? { quote, terms, machine, taken, loan, count } : null;
}

/** What such a lender says of it: payment, last payment, total, and what is owed after half of the payments. */
export function saidBy({ loan }: Lender): Stated {
  const said = (minor: number) => ({ units: Math.floor(minor + 0.5), decimals: 2 });
  const half = loan.rows[Math.floor(loan.rows.length / 2) - 1];
  return {
    payment: said(loan.payment),
    lastPayment: said(loan.lastPayment),
    totalOfPayments: said(loan.totalOfPayments),
    ...(half && { balance: { after: half.number, amount: said(half.balance) } }),
  };
}

/** The departures of a way as a lender's terms, worked out apart. */
export const loanBy = (terms: TheirTerms, departures: readonly Departure[]): TheirLoan | undefined =>
  theirLoan(departures.reduce(withDeparture, terms));
