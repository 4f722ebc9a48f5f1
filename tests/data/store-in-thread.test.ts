import { Worker } from "node:worker_threads";
import { DatabaseAway, openStoreInThread } from "@/data/store-in-thread";

const PATIENCE = { call: 150, busy: 10_000, hanging: { working: 200, silent: 5000 }, opening: 2000 };

/** A thread that opens, and then does with each call what a script says. */
const threadThat = (script: string) => () =>
  new Worker(
    `const { parentPort } = require("node:worker_threads");
     let trace;
     const busyFor = milliseconds => {
       for (const end = Date.now() + milliseconds; Date.now() < end; );
     };
     parentPort.on("message", message => {
       if (message.open) {
         const task = require("node:fs").readlinkSync("/proc/thread-self").split("/").at(-1);
         message.trace[1] = Number(task);
         trace = message.trace;
         return parentPort.postMessage("opened");
       }
       if (message === "areYouThere") return parentPort.postMessage("hereIAm");
       if (message === "close") return parentPort.close();
       const answer = value => parentPort.postMessage({ id: message.id, value });
       ${script}
     });`,
    { eval: true },
  );

async function open(script: string) {
  const stops: string[] = [];
  const opened = await openStoreInThread("any", {
    stopped: why => stops.push(why),
    patience: PATIENCE,
    start: threadThat(script),
  });
  return { ...opened, stops };
}

const later = (milliseconds: number) => new Promise(resolve => setTimeout(resolve, milliseconds));

test("a database that hangs is given up, with all that wait for it, and is said to have stopped", async () => {
  const { store, close, stops } = await open("for (;;) {}");
  const asked = Promise.allSettled([store.hasDeals(), store.answers()]);
  expect(await asked).toEqual([
    { status: "rejected", reason: expect.any(DatabaseAway) },
    { status: "rejected", reason: expect.any(DatabaseAway) },
  ]);
  // It is the time that it works which counts: on a busy machine that comes late.
  for (let waits = 0; waits < 200 && stops.length === 0; waits++) await later(50);
  expect(stops).toEqual(["The database hangs."]);
  await expect(store.answers()).rejects.toBeInstanceOf(DatabaseAway);
  await close();
});

test("a database that is only slow goes on: the call that took too long is given up alone", async () => {
  const { store, close, stops } = await open(
    'if (message.name === "hasDeals") setTimeout(answer, 400, true); else answer(true);',
  );
  await expect(store.hasDeals()).rejects.toBeInstanceOf(DatabaseAway);
  await later(400);
  expect(await store.answers()).toBe(true);
  expect(stops).toEqual([]);
  await close();
});

test("a database that is at work all the time is waited for, and does not hang", async () => {
  // Twenty steps of which each keeps the thread: it hears of nothing meanwhile.
  const { store, close, stops } = await open(
    "for (let step = 0; step < 20; step++) { busyFor(40); Atomics.add(trace, 0, 1); } answer(true);",
  );
  expect(await store.hasDeals()).toBe(true);
  expect(stops).toEqual([]);
  await close();
});

test("a thread that gets no time to work is not taken to hang", async () => {
  const { store, close, stops } = await open(
    "Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 600); answer(true);",
  );
  await expect(store.hasDeals()).rejects.toBeInstanceOf(DatabaseAway);
  await later(600);
  expect(stops).toEqual([]);
  await close();
});

test("an error after which the database answers no more is said at once, with its reason", async () => {
  const { store, close, stops } = await open(
    'parentPort.postMessage({ broken: "could not write to the log: No space left on device" }); for (;;) {}',
  );
  await expect(store.answers()).rejects.toThrow("No space left on device");
  expect(stops).toEqual(["The database stopped: could not write to the log: No space left on device."]);
  await close();
});

test("a thread that breaks has stopped, and one that ends when it is told to has not", async () => {
  const broken = await open('throw new Error("out of memory")');
  await expect(broken.store.answers()).rejects.toThrow("out of memory");
  expect(broken.stops).toHaveLength(1);
  const whole = await open("answer(true)");
  expect(await whole.store.answers()).toBe(true);
  await whole.close();
  expect(whole.stops).toEqual([]);
  await expect(whole.store.answers()).rejects.toBeInstanceOf(DatabaseAway);
});

test("a folder that does not open in time is refused", async () => {
  const never = () => new Worker("setInterval(() => {}, 1000)", { eval: true });
  const opening = openStoreInThread("any", { patience: { ...PATIENCE, opening: 100 }, start: never });
  await expect(opening).rejects.toThrow("did not open in 0.1 s");
});
