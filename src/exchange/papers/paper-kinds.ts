/** The papers that can be made of an answered option, and what they are called. */
export const PAPER_NAMES = {
  proposal: "Proposal",
  repaymentTable: "Repayment table",
} as const;

export type PaperName = keyof typeof PAPER_NAMES;

export const isPaperName = (name: string): name is PaperName => Object.hasOwn(PAPER_NAMES, name);
