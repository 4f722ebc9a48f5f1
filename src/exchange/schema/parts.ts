import Type from "typebox";
import { FREQUENCIES, HIGHEST_YEARLY_RATE, MOST_PAYMENTS } from "@/core";

/** An object that has no other members than these. */
export const exact = <Properties extends Type.TProperties>(properties: Properties) =>
  Type.Object(properties, { additionalProperties: false });

/** A schema like another, which says whether customers may see the member that it is of. */
function marked<Member extends Type.TSchema>(member: Member, forCustomers: boolean): Member {
  const prototype: object | null = Object.getPrototypeOf(member);
  return Object.defineProperties(Object.create(prototype), {
    ...Object.getOwnPropertyDescriptors(member),
    forCustomers: { value: forCustomers, enumerable: true },
  });
}

/** A member that customers may see. */
export const seen = <Member extends Type.TSchema>(member: Member): Member => marked(member, true);

/** A member that customers never see. */
export const unseen = <Member extends Type.TSchema>(member: Member): Member => marked(member, false);

/**
 * One of some objects, told apart by a word that each has of its own: what is wrong with one is then said of
 * that one alone.
 */
export function tagged<const Branches extends readonly Type.TObject[]>(
  tag: string,
  branches: Branches,
  description: string,
) {
  return Type.Unsafe<Type.Static<Branches[number]>>({
    type: "object",
    discriminator: { propertyName: tag },
    oneOf: branches,
    description,
  });
}

/** A money amount. */
export const Amount = Type.Union(
  [Type.String({ pattern: "^\\d{1,10}(\\.\\d{1,3})?$" }), Type.Number({ minimum: 0 })],
  { description: 'an amount of 0 or more, such as "41850.00"' },
);

/** A percent of 0 or more, as typed. */
export const Percent = (description: string, maximum: number) =>
  Type.Union([Type.String({ pattern: "^\\d{1,4}(\\.\\d{1,8})?$" }), Type.Number({ minimum: 0, maximum })], {
    description,
  });

export const YearlyRate = Percent(
  `a yearly rate in percent from 0 to ${HIGHEST_YEARLY_RATE}, such as "6.49"`,
  HIGHEST_YEARLY_RATE,
);

export const IsoDate = Type.String({
  pattern: "^\\d{4}-\\d{2}-\\d{2}$",
  description: 'a date such as "2026-12-24"',
});

/** A whole number from one to another. */
export const Whole = (minimum: number, maximum: number, what: string) =>
  Type.Integer({ minimum, maximum, description: `${what} from ${minimum} to ${maximum}` });

/** A whole number from one to another, as a number or as text, as amounts are. */
export const Count = (minimum: number, maximum: number, what: string) =>
  Type.Union([Type.Integer({ minimum, maximum }), Type.String({ pattern: "^\\d{1,6}$" })], {
    description: `${what} from ${minimum} to ${maximum}`,
  });

/** One of some words. */
export function OneOf<const Words extends readonly string[]>(...words: Words) {
  const quoted = words.map(word => `"${word}"`);
  const description =
    quoted.length === 1 ? quoted.join() : `${quoted.slice(0, -1).join(", ")} or ${quoted.at(-1)}`;
  return Type.Unsafe<Words[number]>({ enum: words, description });
}

export const Currency = Type.String({
  pattern: "^[A-Z]{3}$",
  description: 'a currency code of ISO 4217, such as "USD"',
});

/** How many payments a plan, or a question about one, has. */
export const Payments = Whole(1, MOST_PAYMENTS, "a whole number of payments");

/** The same where it is asked about, as a number or as text. */
export const AskedPayments = Count(1, MOST_PAYMENTS, "a whole number of payments");

export const FrequencyWord = OneOf(...FREQUENCIES);

export const CompoundingWord = OneOf(
  "payments",
  "daily",
  "weekly",
  "monthly",
  "quarterly",
  "halfYearly",
  "yearly",
  "continuous",
);

export const TimingWord = OneOf("arrears", "advance");
