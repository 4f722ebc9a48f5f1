// A kind that arrives on the desk in a fuller form than it opened with.
import { documentOf } from "@/exchange/deal-document";
import type { LoanFile } from "@/exchange/kinds/loan";
import { signQuote } from "@/exchange/signed-quote";
import { type DeskAction, deskReducer, openDesk, openedOption } from "@/features/deal/desk/desk-state";
import { withSigned } from "@/features/deal/desk/with-signed";
import { PLAIN_LOAN } from "@/features/deal/kinds/loan/plain-loan";
import { fieldText, shownQuote } from "@/features/deal/option";
import { named } from "../named";
import { KINDS } from "./load-desk";

const OPTION = "11111111-1111-4111-8111-111111111111";
const LOAN: LoanFile = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "41850.00", down: { amount: "3000.00" } },
  plan: { kind: "loan", yearlyRate: "6.49", payments: 72, frequency: "monthly" },
  find: "payment",
};
const HEADING = { customer: named("Maren Oakhollow"), status: "quoting" as const };
const DOCUMENT = documentOf(HEADING, { id: OPTION, name: "", inputs: LOAN });
const ARRIVED: DeskAction = { type: "arrived", kinds: KINDS };

const plainDesk = () => openDesk(DOCUMENT, { loan: PLAIN_LOAN });
const typed = (text: string): DeskAction => ({
  type: "option",
  action: { type: "typed", field: "price", text },
});

test("a plain loan is answered before the rest of its kind is there, and the same after", () => {
  const before = openedOption(plainDesk());
  const after = openedOption(deskReducer(plainDesk(), ARRIVED));
  expect(before.desk.rest).toBeUndefined();
  expect(after.desk.rest).toBeDefined();
  expect(after.answer).toEqual(before.answer);
  expect(shownQuote(after)).toMatchObject({ payment: 65288 });
});

test("what only the rest understands is marked until it is there, and then read from what stood there", () => {
  const before = deskReducer(plainDesk(), typed("+500"));
  expect(openedOption(before).errors).toHaveProperty("price");
  const after = openedOption(deskReducer(before, ARRIVED));
  expect([after.errors, after.inputs.structure.price]).toEqual([{}, "42350.00"]);
  // It is still being typed.
  expect(fieldText(after, "price")).toBe("+500");
});

test("what needs the rest is a mistake before it is there, and done after", () => {
  const find: DeskAction = { type: "option", action: { type: "find", figure: "price", wish: "600" } };
  expect(() => deskReducer(plainDesk(), find)).toThrow("has not arrived");
  expect(openedOption(deskReducer(deskReducer(plainDesk(), ARRIVED), find)).inputs).toMatchObject({
    find: "price",
    plan: { payment: "600.00" },
  });
});

test("a signed deal stays as it was signed when the rest of its kind arrives", () => {
  const signed = signQuote(OPTION, LOAN);
  if (signed.kind !== "loan") throw new Error("It is a loan with an answer.");
  const other = { ...signed, figures: { ...signed.figures, payment: 12_345 } };
  const desk = deskReducer(withSigned(plainDesk(), [other]), ARRIVED);
  expect([openedOption(desk).desk.rest !== undefined, shownQuote(openedOption(desk))?.payment]).toEqual([
    true,
    12_345,
  ]);
});
