import { FREQUENCY_NAMES, type Frequency, type LeaseQuote, periodsPerYear } from "@/core";
import { termText } from "../../../text";
import type { Segment, SentenceWriter } from "../../kind/segment";

/** The figures of a lease's sentence that an officer can pick. */
export type LeaseSentenceFigure = "payments" | "payment" | "dueAtSigning" | "residual";

type Segments = Segment<LeaseSentenceFigure>[];

/** The answer of a lease in plain sentences: the payment, its end, and what using it costs. */
export function leaseSentence(quote: LeaseQuote, { money }: Pick<SentenceWriter, "money">): Segments {
  const { payments, payment, tax, depreciation, rentCharge, filled } = quote;
  const { frequency, inAdvance } = filled.plan;
  const isAtOnce = inAdvance === payments;
  const isGain = depreciation < 0;
  return [
    "Drive it for ",
    { figure: "payments", text: term(payments, frequency) },
    isAtOnce ? " for " : " at ",
    { figure: "payment", text: money(payment) },
    ` ${isAtOnce ? "paid at once" : PER[frequency]}${tax > 0 ? ", tax included" : ""}`,
    ...atSigning(quote, money),
    `${!isAtOnce && inAdvance > 1 ? `, the ${lastPayments(inAdvance - 1)} among it` : ""}. `,
    ...atEnd(quote, money),
    " Using it costs ",
    { strong: money(rentCharge) },
    ` in rent${isGain ? "; it is held to gain " : " and "}`,
    { strong: money(Math.abs(depreciation)) },
    isGain ? "." : " in lost value.",
  ];
}

function atSigning(
  { dueAtSigning, payment, payments, filled }: LeaseQuote,
  money: SentenceWriter["money"],
): Segments {
  const { total } = dueAtSigning;
  if (filled.plan.inAdvance === payments && total === payment) return [" at signing"];
  if (total === 0) return [", with nothing due at signing"];
  return [", with ", { figure: "dueAtSigning", text: money(total) }, " due at signing"];
}

/** What becomes of it: handed back or bought, and for how much. */
function atEnd({ residual, purchaseTax, filled }: LeaseQuote, money: SentenceWriter["money"]): Segments {
  const { dispositionFee, purchaseFee } = filled.plan;
  const beside = [
    purchaseFee > 0 ? `a fee of ${money(purchaseFee)}` : "",
    purchaseTax > 0 ? `${money(purchaseTax)} tax` : "",
  ].filter(Boolean);
  const text = money(residual);
  return [
    `Then hand it back${dispositionFee > 0 ? ` for a fee of ${money(dispositionFee)}` : ""}, or buy it for `,
    ...(beside.length > 0
      ? ([{ figure: "residual", text }, ` and ${beside.join(" and ")}.`] as const)
      : ([{ figure: "residual", text, after: "." }] as const)),
  ];
}

/** How many payments there are, as a phrase: "36 monthly payments". */
export function leaseTerm({ payments, filled }: LeaseQuote): string {
  const { frequency, inAdvance } = filled.plan;
  if (inAdvance === payments) return "paid at once";
  return `${payments} ${FREQUENCY_NAMES[frequency].adjective} ${payments === 1 ? "payment" : "payments"}`;
}

/** "36 months"; where it is not paid monthly, the time and how many payments. */
function term(payments: number, frequency: Frequency): string {
  if (frequency === "monthly") return `${payments} ${payments === 1 ? "month" : "months"}`;
  const time = termText(payments, periodsPerYear(frequency));
  return `${time} in ${payments} ${FREQUENCY_NAMES[frequency].adjective} payments`;
}

const lastPayments = (count: number) => (count === 1 ? "last payment" : `last ${count} payments`);

/** What an amount is for, said after it. */
const PER: Record<Frequency, string> = {
  weekly: "a week",
  everyTwoWeeks: "every two weeks",
  twiceAMonth: "twice a month",
  monthly: "a month",
  everyTwoMonths: "every two months",
  quarterly: "a quarter",
  halfYearly: "a half year",
  yearly: "a year",
};
