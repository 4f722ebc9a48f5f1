import { evaluate, type Quote } from "@/core";
import type { HorizonAsked } from "@/core/horizon";
import type { HorizonQuestion } from "@/workers/horizon-worker";

/** What the thread was asked, with its tables made here: for a working, which is opened now and then. */
export const evaluatedAgain = ({ deals, against: _, ...asked }: HorizonQuestion): HorizonAsked => ({
  ...asked,
  quotes: deals.map(deal => {
    const quote = deal && evaluate(deal);
    return quote?.ok ? (quote.value as Quote) : null;
  }),
});
