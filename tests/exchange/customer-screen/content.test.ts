// What stands on the customer's screen, and when its window shows which deal.
import { evaluate, parseIsoDate, type Quote } from "@/core";
import { customerContent } from "@/exchange/customer-screen/content";
import type { CustomerMessage } from "@/exchange/customer-screen/message";
import { PARTS_SHOWN, type PartShown } from "@/exchange/customer-screen/parts";
import { forCustomers } from "@/exchange/for-customers";
import { notationOf } from "@/exchange/notation";
import { afterMessage, afterSilence } from "@/features/customer-screen/heard";
import { LEASE, LOAN } from "../../core/horizon/worked-deal";

const ID = "00000000-0000-4000-8000-000000000001";

const SEEN = forCustomers({
  customer: { id: ID, name: "Odo Fenn" },
  vehicle: { id: ID, name: "Ostrel U1" },
  status: "quoting",
  notes: "Would take less",
  chosen: ID,
  options: [
    {
      id: ID,
      name: "",
      inputs: {
        format: "kellux-deal",
        version: 1,
        currency: "USD",
        structure: {},
        plan: {},
        find: "payment",
      } as never,
    },
  ],
});

function answered(deal: typeof LOAN | typeof LEASE): Quote {
  const quote = evaluate(deal);
  if (!quote.ok) throw new Error(quote.failure.sentence);
  return quote.value as Quote;
}

const content = (...parts: PartShown[]) =>
  customerContent({
    seen: SEEN,
    options: [
      { id: "loan", name: "60 monthly", quote: answered(LOAN) },
      { id: "lease", name: "Lease", quote: answered(LEASE) },
    ],
    open: "loan",
    parts: new Set(parts),
    house: "Tarn & Hollow",
    today: parseIsoDate("2026-12-08") ?? 0,
    notation: notationOf("en-US"),
  });

test("every card holds the same facts; a lease has no APR", () => {
  const { cards = [], sentence } = content("options");
  expect(cards).toEqual([
    {
      name: "60 monthly",
      isOpen: true,
      payment: "$704.21",
      payments: "60 monthly payments",
      atSigning: "$4,000.00",
      totalCost: "$46,252.78",
      apr: "6.49 %",
      atEnd: "it is yours",
    },
    {
      name: "Lease",
      isOpen: false,
      payment: "$735.48",
      payments: "36 monthly payments",
      atSigning: "$735.48",
      totalCost: "$26,872.28",
      apr: null,
      atEnd: "nothing: hand it back, or buy it for $18,240.00",
    },
  ]);
  expect(sentence).toBeUndefined();
});

test("only what was put on it is among it, and nothing that customers may not see", () => {
  const all = content(...(Object.keys(PARTS_SHOWN) as PartShown[]));
  expect(Object.keys(all).sort()).toEqual(
    ["cards", "currency", "customer", "date", "house", "locale", "owed", "sentence", "vehicle"].sort(),
  );
  expect(JSON.stringify(all)).not.toContain("Would take less");
  expect(content()).toEqual({
    house: "Tarn & Hollow",
    customer: "Odo Fenn",
    vehicle: "Ostrel U1",
    date: "December 8, 2026",
    currency: "USD",
    locale: "en-US",
  });
});

const shown = (deal: string, number: number, at: number, takenAt = 1): CustomerMessage => ({
  kind: "shown",
  deal,
  number,
  at,
  takenAt,
  asOf: null,
  content: content(),
});

test("what comes late is left out, and another deal waits until it is put there", () => {
  const first = afterMessage(null, shown("a", 5, 1000), 0);
  expect(first?.number).toBe(5);
  expect(afterMessage(first, shown("a", 4, 1000), 10)).toBe(first);
  // A page that was loaded again counts from 1, later.
  expect(afterMessage(first, shown("a", 1, 2000), 10)?.number).toBe(1);
  expect(afterMessage(first, shown("b", 1, 3000), 10)).toBe(first);
  expect(afterMessage(first, shown("b", 1, 3000, 2), 10)?.deal).toBe("b");
  expect(afterMessage(first, { kind: "left", deal: "b", number: 1, at: 3000 }, 10)).toBe(first);
  expect(afterMessage(first, { kind: "left", deal: "a", number: 6, at: 3000 }, 10)).toBeNull();
});

test("three seconds without a message, and nothing is shown; a beat keeps it", () => {
  const first = afterMessage(null, shown("a", 1, 1000), 0);
  expect(afterSilence(first, 3000)).toBe(first);
  expect(afterSilence(first, 3001)).toBeNull();
  const beaten = afterMessage(first, { kind: "beat", deal: "a", number: 2, at: 2000 }, 2500);
  expect(afterSilence(beaten, 5400)).toBe(beaten);
});
