// A screen that starts with a level loan answers it without the other shapes: by the same figures, and never where a plan
// has any of them.
import fc from "fast-check";
import { evaluate, isLevel, levelAnswer, quoteBy } from "@/core";
import { runs } from "../runs";
import { dealsOf, SHAPE_NAMES } from "./shapes";

const RUNS = runs(40);

/** Paid at the beginning of each period or at its end, it is the same payment on every date. */
const LEVEL = new Set(["level", "advance"]);

test.each(SHAPE_NAMES)(`${RUNS} loans of the shape %s are level ones by the same figures, or none`, shape => {
  fc.assert(
    fc.property(dealsOf(shape), deal => {
      expect(isLevel(deal)).toBe(LEVEL.has(shape));
      if (isLevel(deal)) expect(quoteBy(levelAnswer, deal)).toEqual(evaluate(deal));
    }),
    { numRuns: RUNS },
  );
});
