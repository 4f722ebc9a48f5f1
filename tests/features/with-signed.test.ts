import { documentOf } from "@/exchange/deal-document";
import type { DealFile } from "@/exchange/deal-file";
import { KEEPING } from "@/exchange/kinds/kind/kept-sentence";
import { type SignedQuote, signQuote } from "@/exchange/signed-quote";
import { withSigned } from "@/features/deal/desk/with-signed";
import { type OptionState, shownQuote } from "@/features/deal/option";
import { named } from "../named";
import { openDesk } from "./load-desk";

const OPTION = "11111111-1111-4111-8111-111111111111";
const plan = { frequency: "monthly", yearlyRate: "6.49", payments: 72 } as const;
const LOAN: DealFile = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "41850.00" },
  plan: { kind: "loan", ...plan },
  find: "payment",
};
const LEASE: DealFile = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "41850.00" },
  plan: { kind: "lease", reckoning: "levelYield", residual: { amount: "9600.00" }, ...plan },
  find: "payment",
};

function opened(inputs: DealFile, quotes: SignedQuote[]): OptionState {
  const heading = { customer: named("Maren Oakhollow"), status: "signed" as const };
  const document = documentOf(heading, { id: OPTION, name: "", inputs });
  const [option] = withSigned(openDesk(document), quotes).options;
  if (!option) throw new Error("A deal has an option.");
  return option.state;
}

test.each([
  ["loan", LOAN],
  ["lease", LEASE],
])("a signed %s is shown as it was signed, whatever this core would answer", (_, inputs) => {
  const signed = signQuote(OPTION, inputs);
  if (signed.kind === "none") throw new Error(signed.words.sentence);
  const asToday = opened(inputs, [signed]);
  const { payment, ...others } = shownQuote(asToday) ?? { payment: 0 };
  const figures = { ...signed.figures, payment: 12_345 };
  const shown = shownQuote(opened(inputs, [{ ...signed, figures } as SignedQuote]));
  expect(payment).toBeGreaterThan(12_345);
  expect(shown).toEqual({ ...others, payment: 12_345 });
});

test("a signed deal says the sentence that it was signed with, and one from before sentences were kept says today's", () => {
  const signed = signQuote(OPTION, LOAN);
  if (signed.kind === "none") throw new Error(signed.words.sentence);
  const write = { money: (minor: number) => `$${minor / 100}`, date: String, say: (text: string) => text };
  const said = opened(LOAN, [
    { ...signed, words: { sentence: ["Pay ", { figure: "payment", text: KEEPING.money(64_574) }, "."] } },
  ]).signedSentence?.(write);
  expect(said).toEqual(["Pay ", { figure: "payment", text: "$645.74" }, "."]);
  expect(opened(LOAN, [{ ...signed, words: {} }]).signedSentence).toBeUndefined();
});

test("an option that had no answer when it was signed, or whose answer does not fit it, shows none", () => {
  const none = opened(LOAN, [
    { kind: "none", optionId: OPTION, version: 1, words: { sentence: "The price is missing." } },
  ]);
  expect([shownQuote(none), none.answer]).toMatchObject([
    null,
    { ok: false, failure: { sentence: "The price is missing." } },
  ]);
  const otherKind = opened(LOAN, [signQuote(OPTION, LEASE)]);
  expect([shownQuote(otherKind), otherKind.answer]).toMatchObject([
    null,
    { ok: false, failure: { sentence: "It was signed as a lease and is a loan." } },
  ]);
});
