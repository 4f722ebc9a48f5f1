/** Where a lender pays a part of the interest to the dealer, and what of it comes back: minor units, percents as typed. */
export type ReserveTerms = (
  | { method: "presentValue" | "interestShare" }
  | { method: "flat"; amount: number }
  | { method: "flat"; percent: string }
) & {
  /** Percent of what the method comes to; all of it where left out. */
  share?: string;
  most?: number;
  chargeback?: Chargeback;
};

/** What of a reserve comes back where the loan is paid off early: all of it up to a payment or a day, then a part. */
export type Chargeback = {
  /** The last payment up to which all of it comes back. */
  until?: number;
  /** The same by days from signing. */
  untilDays?: number;
  /** What comes back beyond; nothing where left out. */
  then?: "nothing" | "byTime" | "byInterest";
};

/** What of an extra comes back, by time: its term in months, the loan's where left out. */
export type ExtraChargeback = { term?: number; untilDays?: number };

/** An amount that belongs to no line, below zero where it is a cost. */
export type OtherIncome = {
  name: string;
  amount: number;
  in: "front" | "back";
  /** Whether the officer has a share in it. */
  isShared: boolean;
};

/** The officer's part: a percent, as typed, of what is earned beyond a fixed amount. */
export type OfficerShare = { percent: string; of: "back" | "all" | "reserve"; less: number };

/** What a dealer knows of an option and the customer never sees; minor units, by the lines' places. */
export type DealerSide = {
  /** What the vehicle cost; null where it is not known. */
  cost: number | null;
  /** What each trade-in is worth, and what each fee and extra cost; null where it is not known. */
  tradeInValues: readonly (number | null)[];
  feeCosts: readonly (number | null)[];
  extraCosts: readonly (number | null)[];
  /** What of each rebate the dealer gives itself; null where it is the maker's. */
  ownRebates: readonly (number | null)[];
  /** What the dealer pays to the lender. */
  lenderFee: number;
  others: readonly OtherIncome[];
  /** Percent a year, or a money factor where the lease is reckoned by one, as typed; null where it is not known. */
  buyRate: string | null;
  reserve: ReserveTerms | null;
  extraChargebacks: readonly (ExtraChargeback | null)[];
  officerShare: OfficerShare | null;
};
