import type { Result } from "../../result";
import type { WorkingStep } from "../../working";
import type { AnyDeal } from "./any-deal";
import type { Axes } from "./axis";
import type { GivingWay } from "./giving-way";
import type { Mapped } from "./mapped";
import type { MoneyAt } from "./money-over-time";
import type { Bought, ReachTerm } from "./reached";

/**
 * A kind of deal, as one object: everything that the core can say of it. What hangs on the kind asks the kind; nothing
 * else looks at which one it is.
 */
export type Kind<Deal extends AnyDeal, Quote, Summary, Answered extends { deal: Deal }> = {
  name: string;
  /** Answers a deal: finds its figure, then the table and what it all costs. */
  evaluate(deal: Deal): Result<Quote>;
  /** The same without the table, for many deals. */
  summarize(deal: Deal): Result<Summary>;
  axes: Axes<Deal>;
  mapped: Mapped<Deal>;
  /** What a deal that asks for its price buys. */
  bought(deal: Deal): Bought;
  overTerm(deal: Deal, term: ReachTerm): Deal;
  givingWay: GivingWay<Deal, Answered>;
  /** How a figure of a quote came about. */
  working(quote: Quote, figure: string): WorkingStep;
  moneyOverTime(quote: Quote): MoneyAt[];
};
