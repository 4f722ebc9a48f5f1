import { checkRandomPlans, RUNS } from "./random-plans";

test(`${RUNS} more plans of every shape agree with whole-number arithmetic, row by row`, () =>
  checkRandomPlans(1));
