import { addJob, doPart, jobsOf } from "@/data/jobs";
import { jobs } from "@/data/schema";
import { testDatabase } from "./test-database";

const open = testDatabase();

const job = (key: string, payload: unknown) => ({ kind: "putInStock", key, payload }) as const;
const add = (key: string, payload: unknown) => addJob(open.database, job(key, payload));
const left = async () =>
  (await jobsOf(open.database, "putInStock")).map(({ key, payload }) => [key, payload]).sort();

/** Counts a job down, and says which it was. */
const seen: string[] = [];
const countDown = () =>
  doPart(open.database, "putInStock", async (_, { key, payload }) => {
    const count = payload as number;
    if (count < 0) throw new Error("It cannot be done.");
    seen.push(key);
    return { done: 1, rest: count > 1 ? count - 1 : null };
  });

beforeEach(async () => {
  seen.length = 0;
  await open.database.delete(jobs);
});

test("a job is done part by part, and asked for twice it is done once", async () => {
  await add("a", 2);
  await add("a", 9);
  await addJob(open.database, { kind: "showDeals", key: "a", payload: {} });
  expect([await countDown(), await left()]).toEqual([1, [["a", 1]]]);
  expect([await countDown(), await left()]).toEqual([1, []]);
  expect(await countDown()).toBe(0);
  expect(seen).toEqual(["a", "a"]);
  expect(await jobsOf(open.database, "showDeals")).toHaveLength(1);
});

test("one that fails is put off, longer each time, and keeps no other waiting; nothing of its part is kept", async () => {
  await add("bad", -1);
  await add("good", 1);
  await expect(countDown()).rejects.toThrow("It cannot be done.");
  expect(await countDown()).toBe(1);
  expect(seen).toEqual(["good"]);
  // It is not taken up at once.
  expect(await countDown()).toBe(0);
  const waits: number[] = [];
  for (let time = 0; time < 3; time++) {
    const [row] = await open.database.select().from(jobs);
    expect(row).toMatchObject({ key: "bad", tries: time + 1, payload: -1 });
    waits.push((row?.leaseUntil?.getTime() ?? 0) - Date.now());
    await open.database.update(jobs).set({ leaseUntil: new Date(0) });
    await expect(countDown()).rejects.toThrow("It cannot be done.");
  }
  expect(waits.map(wait => Math.round(wait / 2000))).toEqual([1, 2, 4]);
  // Once it can be done, it is.
  await open.database.update(jobs).set({ leaseUntil: new Date(0), payload: 1 });
  expect([await countDown(), await left()]).toEqual([1, []]);
});
