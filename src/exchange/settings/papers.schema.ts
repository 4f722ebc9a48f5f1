import Type from "typebox";
import {
  FEWEST_MONTHS_KEPT,
  LARGEST_LOGO,
  STANDING_LINES,
  type StandingLine,
} from "../paper-parts/house-papers";
import { Amount, exact, OneOf, Whole } from "../schema";

const LONGEST_LINE = 120;
const LONGEST_LINES = 600;

const Line = Type.String({
  maxLength: LONGEST_LINE,
  pattern: "^[^\\u0000-\\u001f\\u007f]*$",
  description: `one line of at most ${LONGEST_LINE} characters`,
});

const Lines = Type.String({
  maxLength: LONGEST_LINES,
  pattern: "^[^\\u0000-\\u0009\\u000b-\\u001f\\u007f]*$",
  description: `lines of text, at most ${LONGEST_LINES} characters`,
});

const YesOrNo = Type.Boolean({ description: "true or false" });

/** A picture: as it is kept, by its digest, or whole, as a file brings it. */
const Logo = Type.Union(
  [
    exact({ sha256: Type.String({ pattern: "^[0-9a-f]{64}$" }) }),
    // Base64 has four characters for three bytes.
    exact({
      image: Type.String({ maxLength: Math.ceil(LARGEST_LOGO / 3) * 4, pattern: "^[A-Za-z0-9+/]+={0,2}$" }),
    }),
  ],
  {
    description: `a picture of at most ${LARGEST_LOGO / 1000} kB, as Base64, or the digest of one that is kept`,
  },
);

const STANDING = Object.fromEntries(
  Object.keys(STANDING_LINES).map(name => [name, Type.Optional(Lines)]),
) as unknown as { [Name in StandingLine]: Type.TOptional<typeof Lines> };

/** What a house settles of its papers. */
export const HousePapersSchema = exact({
  address: Type.Optional(Lines),
  telephone: Type.Optional(Line),
  email: Type.Optional(Line),
  officer: Type.Optional(Line),
  logo: Type.Optional(Logo),
  /** For how many days a proposal is good. */
  daysGood: Type.Optional(Whole(1, 365, "a number of days")),
  /** For how many months given papers are kept. */
  monthsKept: Type.Optional(Whole(FEWEST_MONTHS_KEPT, 1200, "a number of months")),
  /** That of the place where it is left out. */
  size: Type.Optional(OneOf("Letter", "A4")),
  /** Above it consumer law does not ask for cost papers (12 CFR 1026.3(b), 1013.2(e)). */
  consumerLimit: Type.Optional(Amount),
  /** Whether cash counts first against what is owed on trade-ins beyond their worth. */
  cashFirstAgainstOwed: Type.Optional(YesOrNo),
  /** Whether rebates count in the down payment instead of lowering the cash price. */
  rebatesInDown: Type.Optional(YesOrNo),
  /** Lines of cost papers. */
  standing: Type.Optional(exact(STANDING)),
});
