/** A section of the settings: a card of its own, which the palette finds by what stands in it. */
export type Section = {
  id:
    | "house"
    | "plan"
    | "terms"
    | "limits"
    | "taxes"
    | "fees"
    | "extras"
    | "costs"
    | "worth"
    | "papers"
    | "people"
    | "backups";
  name: string;
  /** Where it stands on a wide screen. */
  side: "left" | "right";
  /** What can be settled there. */
  says: string;
};

/** All of them, in the order of the page. */
export const SECTIONS: readonly Section[] = [
  {
    id: "house",
    name: "House",
    side: "left",
    says: "Name, currency, formats, whose law counts, light or dark.",
  },
  {
    id: "plan",
    name: "Plan of a new deal",
    side: "left",
    says: "Rate, number of payments, how often, kind, rounding, compounding and days of a new deal.",
  },
  {
    id: "terms",
    name: "Terms and their rates",
    side: "left",
    says: "What a customer is shown of what a budget reaches.",
  },
  {
    id: "limits",
    name: "Limits of the place",
    side: "left",
    says: "Most rate, term, document fee and APR of a personal loan that the law of the place lets be asked for.",
  },
  {
    id: "taxes",
    name: "Tax profiles",
    side: "left",
    says: "Taxes that go together, such as a county’s, and their rates.",
  },
  {
    id: "fees",
    name: "Usual fees",
    side: "right",
    says: "Fees that a new deal has, or can take in one step.",
  },
  {
    id: "extras",
    name: "Usual extras",
    side: "right",
    says: "Covers, contracts and other extras that a deal can take.",
  },
  {
    id: "costs",
    name: "Dealer’s side",
    side: "right",
    says: "What usual extras cost the house, which customers never see.",
  },
  {
    id: "worth",
    name: "What vehicles will be worth",
    side: "right",
    says: "Curves by kind of vehicle: value by age, what distance takes off, what a lessor gets.",
  },
  {
    id: "papers",
    name: "Papers",
    side: "left",
    says: "Address, logo, officer’s name, days that a proposal is good, what cost papers say, how long papers are kept.",
  },
  {
    id: "people",
    name: "People",
    side: "right",
    says: "Sign-in, one-time codes of everybody, when a screen locks, how long who did what and deals are kept.",
  },
  {
    id: "backups",
    name: "Backups",
    side: "right",
    says: "All that is kept, as one file; copies, and restoring one.",
  },
];
