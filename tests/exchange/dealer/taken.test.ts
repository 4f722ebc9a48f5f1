import type { DealDocument, DealOption } from "@/exchange/deal-document";
import { type Dealer, dealerOfCopy, type KnownCosts, withTakenCosts } from "@/exchange/dealer";
import type { LoanFile } from "@/exchange/kinds/loan";

const [ONE, OTHER] = ["11111111-1111-4111-8111-111111111111", "22222222-2222-4222-8222-222222222222"];
const option = (id: string): DealOption => ({
  id,
  name: "",
  inputs: {
    format: "kellux-deal",
    version: 1,
    currency: "USD",
    structure: { price: "30000.00", extras: [{ id: "cover-1", name: "Gap cover", amount: "640.00" }] },
    plan: { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 72 },
    find: "payment",
  } satisfies LoanFile,
});
const deal = (...options: DealOption[]): DealDocument => ({ status: "quoting", chosen: ONE, options });

const TERMS = { reserve: { method: "presentValue" as const }, officerShare: { percent: "12" } };
const HOUSE: KnownCosts = { usual: {}, vehicle: undefined, terms: TERMS };
const KNOWN: Dealer = {
  applicant: { score: 704 },
  options: {
    [ONE]: {
      ...TERMS,
      cost: "25000.00",
      costs: { "cover-1": "310.00" },
      buyRate: "5.25",
      lenderAnswers: [{ lender: "Quillon Mutual", state: "approved" }],
      spreadReason: { reason: "budget" },
      chargedBack: [{ on: "2026-12-01", amount: "100.00" }],
    },
  },
};
const COPIED = { ...TERMS, cost: "25000.00", costs: { "cover-1": "310.00" }, buyRate: "5.25" };

test("a new deal starts with how the house is usually paid; one that was there before is left alone", () => {
  expect(withTakenCosts({}, undefined, deal(option(ONE)), HOUSE)).toEqual({ options: { [ONE]: TERMS } });
  expect(withTakenCosts({}, deal(option(ONE)), deal(option(ONE)), HOUSE)).toEqual({});
});

test("a change keeps all that is known; a copied option goes without what lenders said of the other", () => {
  const before = deal(option(ONE));
  const after = withTakenCosts(KNOWN, before, deal(option(ONE), option(OTHER)), HOUSE);
  expect(after).toEqual({ ...KNOWN, options: { ...KNOWN.options, [OTHER]: COPIED } });
});

test("a copied deal goes without what lenders said of the other", () => {
  expect(dealerOfCopy(KNOWN)).toEqual({ applicant: { score: 704 }, options: { [ONE]: COPIED } });
  expect(dealerOfCopy({})).toEqual({});
});
