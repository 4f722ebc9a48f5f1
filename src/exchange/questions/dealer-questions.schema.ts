import Type from "typebox";
import { MOST_PAYMENTS } from "@/core";
import { Amount, Count, exact, OneOf, Percent } from "../schema";
import { ProgramsQuestion } from "./programs-question.schema";

const word = <Word extends string>(text: Word) => Type.Literal(text, { description: `"${text}"` });

/** What comes back from the dealer where the deal is paid off with a payment. */
const ChargebackQuestion = exact({
  ask: word("chargeback"),
  after: Count(0, MOST_PAYMENTS, "the number of a payment"),
});

/** The rate or the price with which the deal earns so much of its reserve, or in all: one of the two. */
const IncomeQuestion = exact({
  ask: word("income"),
  reserve: Type.Optional(Amount),
  total: Type.Optional(Amount),
  find: OneOf("yearlyRate", "moneyFactor", "price"),
  rateStep: Type.Optional(Percent('a step of the rate, such as "0.01"', 100)),
});

/** How it comes about what the deal earns. */
const IncomeWorkingQuestion = exact({ ask: word("incomeWorking") });

const INCOME_QUESTIONS = [ChargebackQuestion, IncomeQuestion, IncomeWorkingQuestion] as const;

export const DEALER_QUESTIONS = [...INCOME_QUESTIONS, ProgramsQuestion] as const;

/** A question about what a deal earns. */
export type DealerQuestion = Type.Static<(typeof INCOME_QUESTIONS)[number]>;
