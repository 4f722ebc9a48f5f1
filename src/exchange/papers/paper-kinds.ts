/** What can be made of an answered option for its customer, what it is called, and what file it is. */
export const PAPER_KINDS = {
  proposal: { name: "Proposal", ending: "pdf", type: "application/pdf" },
  repaymentTable: { name: "Repayment table", ending: "pdf", type: "application/pdf" },
  paymentCalendar: { name: "Payment calendar", ending: "ics", type: "text/calendar; charset=utf-8" },
} as const;

export type PaperName = keyof typeof PAPER_KINDS;

export const isPaperName = (name: string): name is PaperName => Object.hasOwn(PAPER_KINDS, name);
