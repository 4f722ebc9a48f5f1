// A search gives way to a newer one: the older ends unfinished, the newer goes to its end.
import { walkMatch } from "@/core/match";
import { newestWalk } from "@/workers/slices";
import { dealWith, quoteOf } from "../core/deals";

const QUOTE = quoteOf(dealWith({ price: 1_850_000 }, { yearlyRate: "7.25", payments: 48 }));
const cents = (units: number) => ({ units, decimals: 2 });

test("a newer key cancels a search that is under way", async () => {
  const walk = newestWalk(1);
  const long = walkMatch({
    quote: QUOTE,
    stated: { payment: cents(44_516), lastPayment: cents(44_460), totalOfPayments: cents(2_136_709) },
    place: "US",
  });
  const older = walk(long, () => {});
  const newer = walk(
    walkMatch({ quote: QUOTE, stated: { payment: cents(44_516), lastPayment: cents(44_489) }, place: "US" }),
    () => {},
  );
  expect(await Promise.all([older, newer])).toEqual([false, true]);
});
