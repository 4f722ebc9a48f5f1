import { failureOf } from "@/data/failure";
import { insertDeals } from "@/data/new-deals";
import { customers, vehicles } from "@/data/schema";
import { named } from "../named";
import { numberedDeal } from "./numbered-deal";
import { testDatabase } from "./test-database";

const open = testDatabase();
const NAME = "Isolde Crane";

/** What a piece of work fails with. */
const failing = (work: () => Promise<unknown>): Promise<unknown> =>
  work().then(
    () => {
      throw new Error("It did not fail.");
    },
    error => error,
  );

test("what is told of a failed query names nobody, whichever part of the error does", async () => {
  const errors = [
    // A text that the database cannot keep, a stock number that is there already, and an id that is none.
    await failing(() =>
      insertDeals(open.database, [
        { ...numberedDeal(1), customer: named(`${NAME}\u0000`), vehicle: named(NAME) },
      ]),
    ),
    await failing(() =>
      open.database.insert(vehicles).values([
        { description: NAME, stockNumber: NAME },
        { description: NAME, stockNumber: NAME },
      ]),
    ),
    await failing(() => open.database.insert(customers).values({ id: NAME, name: NAME })),
  ];
  for (const error of errors) {
    expect(JSON.stringify([String(error), String((error as Error).cause)])).toContain(NAME);
    const { message, code } = failureOf(error);
    expect(message).toMatch(/^Failed query: /);
    expect(message).not.toContain(NAME);
    expect(code).toMatch(/^[0-9A-Z]{5}$/);
  }
});

test("words that are the app's own stay as they are", () => {
  expect(failureOf(new Error('The folder "a" is in use.'))).toEqual({ message: 'The folder "a" is in use.' });
  const disk = Object.assign(new Error("no space left"), { code: "ENOSPC" });
  expect(failureOf(new Error("It was not kept", { cause: disk }))).toEqual({
    message: "It was not kept: no space left",
    code: "ENOSPC",
  });
});
