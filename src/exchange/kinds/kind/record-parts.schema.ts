import Type from "typebox";
import { exact, IsoDate } from "../../schema";

/** Money in minor units of the currency; below zero where something is owed the other way. */
export const Minor = Type.Integer({ description: "whole minor units of the currency" });

/** Percent a year, or a factor, as it was reckoned. */
export const Rate = Type.Number({ description: "a number" });

/** A decimal as it was typed or found, such as "6.49". */
export const DecimalText = Type.String({ description: "a decimal as text" });

export const Text = Type.String({ description: "text" });

export const orNone = <Schema extends Type.TSchema>(schema: Schema) => Type.Union([schema, Type.Null()]);

/** Null where the deal has no dates. */
export const DateOrNone = orNone(IsoDate);

export const CountOf = Type.Integer({ minimum: 0, description: "a whole number of 0 or more" });

/** What falls with payments: with the first, the last and each of them. */
export const WithPayments = exact({ first: Minor, last: Minor, each: Minor });

/** A line of the tally, with the subtotal after it. */
export const tallyOf = <Figure extends Type.TSchema>(figure: Figure) =>
  Type.Array(
    exact({
      figure,
      name: Text,
      sign: Type.Unsafe<1 | -1>({ enum: [1, -1], description: "1 or -1" }),
      amount: Minor,
      running: Minor,
    }),
  );

/** What is paid on the day of signing. */
export const dueOf = <Figure extends Type.TSchema>(figure: Figure) =>
  exact({ items: Type.Array(exact({ figure, name: Text, amount: Minor })), total: Minor });

/** How the cash down was agreed. */
export const Down = Type.Union(
  [
    exact({ amount: Minor }),
    exact({
      percent: DecimalText,
      of: Type.Optional(Type.Unsafe<"price" | "total">({ enum: ["price", "total"], description: "a word" })),
    }),
    exact({ dueAtSigning: Minor }),
  ],
  { description: "an amount, a percent or what is due at signing" },
);

/** A piece of a kept sentence: see `kept-sentence.ts`. */
const KeptSegment = Type.Union(
  [Text, exact({ strong: Text }), exact({ figure: Text, text: Text, after: Type.Optional(Text) })],
  { description: "a piece of a sentence" },
);

/** Members that every record has. */
export const EVERY_RECORD = {
  /** Whose of the deal's options it is. */
  optionId: Text,
  /** Of the record's own form; what an earlier one looked like is known to `upToDate` alone. */
  version: Type.Literal(1),
};

/** Members that a loan's record and a lease's have. */
export const EVERY_ANSWER = {
  ...EVERY_RECORD,
  currency: Text,
  /** How many of them the currency has. */
  decimals: CountOf,
  /** What each fee and each extra comes to, in the order of the deal; one that falls with each payment, each time. */
  fees: Type.Array(Minor),
  extras: Type.Array(Minor),
  dates: exact({ start: DateOrNone, first: DateOrNone, final: DateOrNone }),
  /** What was said beside the answer, where something was. */
  words: exact({
    note: Type.Optional(Text),
    /** The answer in a sentence, its figures kept as figures; not of what was signed before sentences were kept. */
    sentence: Type.Optional(Type.Array(KeptSegment)),
  }),
};
