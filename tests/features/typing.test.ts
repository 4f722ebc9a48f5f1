import type { DealFile } from "@/exchange/deal-file";
import { LOCALES, type Locale } from "@/exchange/notation";
import { understood } from "@/exchange/typing";
import type { FieldName } from "@/features/deal/fields";
import { type OptionState, optionReducer } from "@/features/deal/option";
import { asideAt } from "@/features/deal/option/asides";
import { baseOf, typedAt } from "@/features/deal/option/option-state";
import { openOption } from "./load-desk";
import { SIGNS, TYPED_AT, TYPED_EVERYWHERE } from "./typed-texts";

beforeAll(() => jest.useFakeTimers({ now: new Date("2026-11-24T12:00:00"), doNotFake: ["nextTick"] }));
afterAll(() => jest.useRealTimers());

type Row = { field: string; before: string; typed: string; expected: string };

function rowsOf(table: string, locale: Locale): Row[] {
  const { decimal, group } = SIGNS[locale];
  const there = (text: string) =>
    text.startsWith("=") ? text.slice(1) : text.replace(/[.,]/g, sign => (sign === "." ? decimal : group));
  return table
    .trim()
    .split("\n")
    .filter(line => line.trim() !== "")
    .map(line => {
      const [field = "", before = "", typed = "", expected = ""] = line.split("·").map(part => part.trim());
      return { field, before, typed: there(typed), expected };
    });
}

/** A deal of the place with nothing but what stood in the field. */
function before({ field, before: stood }: Row, locale: Locale): OptionState {
  const plan = { yearlyRate: "6", payments: 48, frequency: "monthly", signed: "2026-11-24" } as const;
  const inputs = {
    format: "kellux-deal",
    version: 1,
    currency: "USD",
    locale,
    structure: { price: "30000.00", down: { amount: "0.00" } },
    plan:
      field === "moneyFactor"
        ? {
            kind: "lease",
            reckoning: "moneyFactor",
            ...plan,
            yearlyRate: undefined,
            residual: { percent: "50" },
          }
        : { kind: "loan", ...plan },
    find: "payment",
  };
  const { structure, plan: planned } = inputs as unknown as { structure: object; plan: object };
  const put = (part: object, key: string, value: unknown) =>
    Object.assign(part, { [key]: stood === "" ? undefined : value });
  if (field === "price") put(structure, "price", stood);
  if (field === "down")
    put(structure, "down", stood.endsWith("%") ? { percent: stood.replace(/ %$/, "") } : { amount: stood });
  if (field === "yearlyRate" || field === "moneyFactor") put(planned, field, stood);
  if (field === "payments") put(planned, "payments", Number(stood));
  return openOption(JSON.parse(JSON.stringify(inputs)) as DealFile);
}

const nameOf = (field: string) => (field === "moneyFactor" ? "lease/moneyFactor" : field) as FieldName;

/** What stands in the deal after it was typed. */
function standsAs(state: OptionState, field: string): string {
  if (state.errors[nameOf(field)]) return "refused";
  const { structure, plan } = state.inputs as unknown as {
    structure: { price?: string; down?: { amount?: string; percent?: string } };
    plan: Record<string, string | number>;
  };
  if (field === "price") return structure.price ?? "nothing";
  if (field === "down") return structure.down?.amount ?? `${structure.down?.percent} %`;
  return String(plan[field] ?? "2026-12-24");
}

/** What may be meant instead. */
function maybeOf(state: OptionState, { field, typed }: Row): string {
  const at = typedAt(state, nameOf(field), baseOf(state, nameOf(field)));
  const maybe = at ? understood(typed, at).maybe : undefined;
  return maybe === undefined ? "" : ` or ${maybe}`;
}

test.each(LOCALES)("200 typed texts of %s are understood as people there mean them", locale => {
  const rows = [...rowsOf(TYPED_EVERYWHERE, locale), ...rowsOf(TYPED_AT[locale], locale)];
  expect(rows.length).toBeGreaterThanOrEqual(200);
  const asUnderstood = rows.map(row => {
    // Typed key by key: what comes between must not change what the whole is understood from.
    let state = before(row, locale);
    for (let end = 1; end <= row.typed.length; end++)
      state = optionReducer(state, {
        type: "typed",
        field: nameOf(row.field),
        text: row.typed.slice(0, end),
      });
    return `${row.field} · ${row.before} · ${row.typed} · ${standsAs(state, row.field)}${maybeOf(state, row)}`;
  });
  expect(asUnderstood).toEqual(
    rows.map(({ field, before: stood, typed, expected }) => `${field} · ${stood} · ${typed} · ${expected}`),
  );
});

const typedIn = (texts: readonly (readonly [string, string])[]) =>
  texts.reduce<OptionState>(
    (state, [field, text]) => optionReducer(state, { type: "typed", field: nameOf(field), text }),
    before({ field: "payments", before: "48", typed: "", expected: "" }, "en-US"),
  );

test("what was understood is said while it is typed, and not where it is what stands there", () => {
  const said = (field: string, text: string) => asideAt(typedIn([[field, text]]), nameOf(field)).understood;
  expect(said("price", "+500")).toBe("30,500.00");
  expect(said("price", "12.5k")).toBe("12,500.00");
  expect(said("price", "41,850 − 1,200")).toBe("40,650.00");
  expect(said("payments", "5y")).toBe("60");
  expect(said("yearlyRate", "+0.5")).toBe("6.5 %");
  expect(said("firstPayment", "24 Dec")).toBe("Dec 24, 2026");
  for (const plain of ["41850", "41,850", "41,850.00", "$41,850.00", "41850.0"])
    expect([plain, said("price", plain)]).toEqual([plain, undefined]);
  expect(said("yearlyRate", "6.49")).toBeUndefined();
  expect(said("price", "abc")).toBeUndefined();
});

test("a slip is asked about, with what may be meant one click away", () => {
  const slip = (texts: readonly (readonly [string, string])[], field: string) => {
    const found = asideAt(typedIn(texts), nameOf(field)).slip;
    return found && [found.meant, found.take.field, found.take.text];
  };
  expect(slip([["yearlyRate", "650"]], "yearlyRate")).toEqual(["6.50 %", "yearlyRate", "6.5"]);
  expect(slip([["yearlyRate", "65"]], "yearlyRate")).toEqual(["6.50 %", "yearlyRate", "6.5"]);
  expect(slip([["yearlyRate", "29.9"]], "yearlyRate")).toBeUndefined();
  expect(slip([["payments", "72y"]], "payments")).toEqual(["72 payments", "payments", "72"]);
  expect(slip([["payments", "30y"]], "payments")).toBeUndefined();
  expect(slip([["payments", "6"]], "payments")).toEqual(["6 years", "payments", "6 y"]);
  expect(slip([["payments", "9"]], "payments")).toBeUndefined();
  expect(slip([["yearlyRate", "-3"]], "yearlyRate")).toEqual(["3 %", "yearlyRate", "3"]);
  expect(slip([["yearlyRate", "-0.25"]], "yearlyRate")).toBeUndefined();
  expect(
    slip(
      [
        ["allowance", "9,200"],
        ["price", "4,185"],
      ],
      "price",
    ),
  ).toEqual(["41,850.00", "price", "41850.00"]);
  expect(slip([["down", "60,000"]], "down")).toEqual(["6,000.00", "down", "6000.00"]);
  expect(slip([["firstPayment", "24 Dec 2027"]], "firstPayment")).toEqual([
    "24 Dec 2026",
    "firstPayment",
    "2026-12-24",
  ]);
  expect(slip([["firstPayment", "24 Feb 2027"]], "firstPayment")).toBeUndefined();
  expect(slip([["price", "1.250"]], "price")).toEqual(["1,250.00", "price", "1250.00"]);
});
