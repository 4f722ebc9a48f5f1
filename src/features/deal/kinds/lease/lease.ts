import { evaluateLease, type LeaseFoundFigure, type LeaseKnown } from "@/core";
import { turnInto } from "@/exchange/kinds/kind/turning";
import { readLease } from "@/exchange/kinds/lease";
import { LEASE_TURNING } from "@/exchange/kinds/lease/turning";
import { rateText } from "@/exchange/text";
import { understood } from "@/exchange/typing";
import { withDownKind } from "../../fields/down-kind";
import type { LeaseKind } from "../../option/desk-kind";
import { findInLease, fromKnown, withLeasePlan } from "./fields/find-lease";
import { leaseField } from "./fields/lease-field";
import { tallyOfLease, tallyOfLeaseDraft } from "./tally";

/** Leases. */
export const LEASE: LeaseKind = {
  name: "lease",
  field: leaseField,
  paymentField: "lease/known",
  knownFields: ["lease/known"],
  hasTaxLines: false,
  debtRaises: "cost",
  isAbout: "A vehicle, leased",
  setsApart: ({ yearlyRate, residual }, money) => `${rateText(yearlyRate)} % · ${money(residual)} to buy`,
  wishes: [
    ["payment", "payment with tax"],
    ["basePayment", "payment before tax"],
    ["dueAtSigning", "sum due at signing"],
    ["totalIfReturned", "total if handed back"],
    ["totalIfBought", "total if bought"],
    ["endDate", "end date"],
  ],
  read: readLease,
  answer: evaluateLease,
  tally: tallyOfLease,
  draftTally: tallyOfLeaseDraft,
  rest: {
    understood,
    find: (inputs, quote, figure, payment) => findInLease(inputs, quote, figure as LeaseFoundFigure, payment),
    fromKnown: (inputs, quote, figure) => fromKnown(inputs, quote, figure as LeaseKnown),
    withPlan: withLeasePlan,
    withDownKind,
    turning: LEASE_TURNING,
    turnedInto: (inputs, quote, to) => turnInto(inputs, quote, LEASE_TURNING, to),
  },
};
