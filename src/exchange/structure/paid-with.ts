/** With which payments a fee or an extra falls, in words; nothing of one that is in the loan or paid at signing. */
export const PAID_WITH: Readonly<Record<string, string>> = {
  withFirstPayment: "with the first payment",
  withLastPayment: "with the last payment",
  withEachPayment: "with each payment",
};
