import type { Result } from "../../result";
import type { WorkingStep } from "../../working";
import type { AnyDeal } from "./any-deal";
import type { Axes } from "./axis";
import type { QuotedFigure } from "./figure";
import type { GivingWay } from "./giving-way";
import type { MoneyAt } from "./money-over-time";
import type { Bought, ReachTerm } from "./reached";

/**
 * A kind of deal, as one object: everything that the core can say of it. What hangs on the kind asks the kind; nothing
 * else looks at which one it is.
 */
export type Kind<Deal extends AnyDeal, Quote, Summary, Answered extends { deal: Deal }> = {
  name: string;
  /** Whether the vehicle goes back at the end, unless it is bought. */
  isHandedBack?: true;
  /** Answers a deal: finds its figure, then the table and what it all costs. */
  evaluate(deal: Deal): Result<Quote>;
  /** The same without the table, for many deals. */
  summarize(deal: Deal): Result<Summary>;
  axes: Axes<Deal>;
  /** Every figure of its answer, by its name in a file. */
  figures: Readonly<Record<string, QuotedFigure<Quote, unknown>>>;
  /** One of those that a map can show, of a deal that asks for its payment; null where it has no answer. */
  figureAt(deal: Deal, figure: string): number | null;
  /** What a deal that asks for its price buys. */
  bought(deal: Deal): Bought;
  overTerm(deal: Deal, term: ReachTerm): Deal;
  givingWay: GivingWay<Deal, Answered>;
  /** How a figure of a quote came about. */
  working(quote: Quote, figure: string): WorkingStep;
  moneyOverTime(quote: Quote): MoneyAt[];
};
