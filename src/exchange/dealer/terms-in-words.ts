import { parseIsoDate } from "@/core";
import { shortDate, typedAmountText } from "../text";
import type { SPREAD_REASONS } from "./answer-states";
import type { Applicant, DealerOfOption } from "./dealer.schema";
import type { LenderAnswer, SpreadReason } from "./lender-answers.schema";

type Reserve = NonNullable<DealerOfOption["reserve"]>;
type OfficerShare = NonNullable<DealerOfOption["officerShare"]>;
type ExtraChargeback = NonNullable<DealerOfOption["extraChargebacks"]>[string];

/** How a reserve is reckoned, in a list to choose from. */
export const METHODS: Record<Reserve["method"], string> = {
  presentValue: "by present value",
  interestShare: "a share of the interest",
  flat: "a flat amount",
};

/** Why a rate is below what every customer is offered, in a list to choose from. */
export const REASONS: Record<(typeof SPREAD_REASONS)[number], string> = {
  competingOffer: "competing offer",
  budget: "the customer’s budget",
  limit: "a limit of the lender or the place",
  campaign: "a campaign open to all",
  stock: "stock to move",
  other: "other",
};

/** How an application stands with a lender. */
export const STATES: Record<LenderAnswer["state"], string> = {
  sent: "sent",
  approved: "approved",
  countered: "countered",
  declined: "declined",
  withdrawn: "withdrawn",
  funded: "funded",
};

/** Such as "by present value, 75 %, at most 2,500.00; all of it comes back up to payment 6, then by the interest still to come". */
export function reserveInWords(reserve: Reserve, currency: string): string {
  const money = (typed: string | number) => typedAmountText(typed, currency);
  const how =
    reserve.method !== "flat"
      ? METHODS[reserve.method]
      : reserve.percent === undefined
        ? `flat, ${money(reserve.amount ?? 0)}`
        : `flat, ${reserve.percent} % of the loan amount`;
  const { share, most, chargeback } = reserve;
  return [
    how,
    ...(share === undefined ? [] : [`${share} %`]),
    ...(most === undefined ? [] : [`at most ${money(most)}`]),
  ]
    .join(", ")
    .concat(chargeback ? `; ${chargebackInWords(chargeback)}` : "");
}

const THEN = {
  nothing: "nothing after that",
  byTime: "then by time",
  byInterest: "then by the interest still to come",
};

/** Such as "all of it comes back up to payment 6, then by the interest still to come". */
function chargebackInWords({ until, untilDays, then = "nothing" }: NonNullable<Reserve["chargeback"]>) {
  const ends = [
    ...(until === undefined ? [] : [`payment ${until}`]),
    ...(untilDays === undefined ? [] : [`day ${untilDays}`]),
  ];
  if (ends.length === 0)
    return then === "nothing" ? "nothing comes back" : `it comes back ${THEN[then].replace("then ", "")}`;
  return `all of it comes back up to ${ends.join(" or ")}, ${THEN[then]}`;
}

/** Such as "over 60 months, all of it up to day 30". */
export const extraChargebackInWords = ({ term, untilDays }: ExtraChargeback): string =>
  [
    term === undefined ? "over the loan’s term" : `over ${term} months`,
    ...(untilDays === undefined ? [] : [`all of it up to day ${untilDays}`]),
  ].join(", ");

const SHARE_OF = { back: "the back gross", all: "all that is earned", reserve: "the reserve" };

/** Such as "12 % of the back gross less 200.00". */
export function officerShareInWords({ percent, of = "back", less }: OfficerShare, currency: string): string {
  const fixed = less === undefined ? "" : ` less ${typedAmountText(less, currency)}`;
  return `${percent} % of ${SHARE_OF[of]}${fixed}`;
}

/** Such as "competing offer: 5.9 % from a bank". */
export const spreadReasonInWords = ({ reason, words }: SpreadReason): string =>
  [...(reason ? [REASONS[reason]] : []), ...(words ? [words] : [])].join(": ");

/** Such as "Quillon Mutual: approved on 24 Nov 2026, 38,425.00, 72 payments, bought at 5.25". */
export function lenderAnswerInWords(answer: LenderAnswer, currency: string): string {
  const money = (typed: string | number) => typedAmountText(typed, currency);
  const { lender, state, on, amount, payments, buyRate, stipulations = [], fundedOn, funded } = answer;
  const open = stipulations.filter(each => each.on === undefined).length;
  const parts = [
    `${STATES[state]}${on ? ` on ${dayText(on)}` : ""}`,
    ...(amount === undefined ? [] : [money(amount)]),
    ...(payments === undefined ? [] : [`${payments} payments`]),
    ...(buyRate === undefined ? [] : [`bought at ${buyRate}`]),
    ...(stipulations.length === 0 ? [] : [`${open} of ${stipulations.length} stipulations open`]),
    ...(fundedOn === undefined ? [] : [`paid on ${dayText(fundedOn)}`]),
    ...(funded === undefined ? [] : [`paid ${money(funded)}`]),
    ...(answer.reserveReceived === undefined ? [] : [`reserve received ${money(answer.reserveReceived)}`]),
  ];
  return `${lender}: ${parts.join(", ")}`;
}

const dayText = (typed: string): string => {
  const day = parseIsoDate(typed);
  return day === undefined ? typed : shortDate(day);
};

/** Such as "score 704, income 5,200.00". */
export function applicantInWords(
  { score, income, housing, debts, paidOff }: Applicant,
  currency: string,
): string {
  const amounts = { income, housing, debts, "of them paid off": paidOff };
  return [
    ...(score === undefined ? [] : [`score ${score}`]),
    ...Object.entries(amounts).flatMap(([name, typed]) =>
      typed === undefined ? [] : [`${name} ${typedAmountText(typed, currency)}`],
    ),
  ].join(", ");
}
