import Type from "typebox";
import { exact, Percent, seen } from "../schema";

/** What money could earn elsewhere: what a whole year adds, in percent, and the tax on it in percent. */
export const ReturnSchema = exact({
  rate: seen(
    Type.Union(
      [
        Type.String({ pattern: "^-?\\d{1,4}(\\.\\d{1,8})?$" }),
        Type.Number({ minimum: -1000, maximum: 1000 }),
      ],
      { description: 'a yearly return in percent, such as "4.2"' },
    ),
  ),
  tax: seen(Type.Optional(Percent('a percent from 0 to 100, such as "25"', 100))),
});

export type ReturnFile = Type.Static<typeof ReturnSchema>;
