type PaperKindFacts = {
  /** What it is called. */
  name: string;
  ending: "pdf" | "ics" | "eml" | "xlsx";
  type: string;
  /** What is on it, in a sentence of the menu. */
  says: string;
  /** Of the desk's own use: no customer is given it, and it is not kept. */
  isForDesk?: boolean;
  /** Of several options, where more than one is asked for. */
  isOfSeveral?: boolean;
};

const PDF = { ending: "pdf", type: "application/pdf" } as const;

/** What can be made of an answered option, what it is called, and what file it is; in the order of the menu. */
export const PAPER_KINDS = {
  proposal: {
    ...PDF,
    name: "Proposal",
    says: "One page: the deal in a sentence, what is owed over time, lines to sign on.",
    isOfSeveral: true,
  },
  costEstimate: {
    ...PDF,
    name: "Cost estimate",
    says: "What the credit or the lease costs, item by item, by the law of the deal’s place.",
  },
  extras: {
    ...PDF,
    name: "Extras, one by one",
    says: "Each extra with its price, and the payment with it and without it.",
  },
  repaymentTable: { ...PDF, name: "Repayment table", says: "Every payment, with the sums of its years." },
  payoff: {
    ...PDF,
    name: "Payoff estimate",
    says: "What pays the loan off on a day, and until when that is good.",
  },
  comparison: {
    ...PDF,
    name: "Comparison",
    says: "A lender’s figures beside the deal’s, and where the difference comes from.",
  },
  paymentCalendar: {
    name: "Payment calendar",
    ending: "ics",
    type: "text/calendar; charset=utf-8",
    says: "Each due date with its amount, for a calendar; taken in again it moves its days.",
  },
  workbook: {
    name: "Workbook",
    ending: "xlsx",
    type: "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
    says: "A spreadsheet that goes on reckoning: change price, rate or term in it, and the table follows to the cent.",
    isOfSeveral: true,
  },
  letter: {
    name: "Letter",
    ending: "eml",
    type: "message/rfc822",
    says: "An e-mail with chosen papers, which your own mail program opens; nothing is sent.",
  },
  perThousand: {
    ...PDF,
    name: "Payment per 1,000",
    says: "For the desk: the payment of each 1,000, rate by rate and term by term.",
    isForDesk: true,
  },
} as const satisfies Record<string, PaperKindFacts>;

export type PaperName = keyof typeof PAPER_KINDS;

/** All of them, as they are told of. */
export const PAPER_FACTS: Record<PaperName, PaperKindFacts> = PAPER_KINDS;

export const PAPER_NAMES = Object.keys(PAPER_KINDS) as PaperName[];

export const isPaperName = (name: string): name is PaperName => Object.hasOwn(PAPER_KINDS, name);

/** What a letter encloses: all papers for customers but itself. */
export const ENCLOSED = PAPER_NAMES.filter(name => name !== "letter" && !PAPER_FACTS[name].isForDesk);
