import Type from "typebox";
import { exact, Whole } from "../schema";
import { FEWEST_MONTHS_OF_DEALS, FEWEST_MONTHS_OF_DOINGS, LONGEST_IDLE_MINUTES } from "./people-rules";

const MOST_MONTHS = 1200;

/** What a house settles of those who work there. */
export const HousePeopleSchema = exact({
  /** Whether everybody signs in with a one-time code besides the password. */
  wantsCodes: Type.Optional(Type.Boolean({ description: "true or false" })),
  /** After so many minutes without a key a screen locks. */
  locksAfter: Type.Optional(Whole(1, LONGEST_IDLE_MINUTES, "a number of minutes")),
  /** For how many months who did what is kept; for ever where it is left out. */
  monthsOfDoings: Type.Optional(Whole(FEWEST_MONTHS_OF_DOINGS, MOST_MONTHS, "a number of months")),
  /** For how many months after their last change deals are kept; for ever where it is left out. */
  monthsOfDeals: Type.Optional(Whole(FEWEST_MONTHS_OF_DEALS, MOST_MONTHS, "a number of months")),
});
