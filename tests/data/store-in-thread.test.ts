import { Worker } from "node:worker_threads";
import { DatabaseAway } from "@/data/away";
import { openStoreInThread } from "@/data/embedded/store-in-thread";

/** Calls are given up soon where that is what a test is of; elsewhere a busy machine gets the time that it takes. */
const PATIENCE = { call: 20_000, busy: 20_000, hanging: { working: 200, silent: 20_000 }, opening: 20_000 };
const IMPATIENT = { ...PATIENCE, call: 150 };

/** What a script and its test tell each other, each at its place. */
const signs = new Int32Array(new SharedArrayBuffer(8));
const [STEPS_TAKEN, ENOUGH] = [0, 1];

/** A thread that opens, and then does with each call what a script says. */
const threadThat = (script: string) => () =>
  new Worker(
    `const { parentPort, workerData: signs } = require("node:worker_threads");
     let trace;
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
    { eval: true, workerData: signs },
  );

async function open(script: string, patience = PATIENCE) {
  const stops: string[] = [];
  const opened = await openStoreInThread("any", {
    stopped: why => stops.push(why),
    patience,
    start: threadThat(script),
  });
  return { ...opened, stops };
}

const later = (milliseconds: number) => new Promise(resolve => setTimeout(resolve, milliseconds));

test("a database that hangs is given up, with all that wait for it, and is said to have stopped", async () => {
  const { store, close, stops } = await open("for (;;) {}", IMPATIENT);
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
  const { store, close, stops } = await open('if (message.name === "answers") answer(true);', IMPATIENT);
  await expect(store.hasDeals()).rejects.toBeInstanceOf(DatabaseAway);
  let answered: unknown = false;
  for (let tries = 0; tries < 100 && !answered; tries++) answered = await store.answers().catch(() => false);
  expect(answered).toBe(true);
  expect(stops).toEqual([]);
  await close();
});

test("a database that is at work all the time is waited for, and does not hang", async () => {
  // It keeps the thread: it hears of nothing meanwhile. The clock is the test's, for a step takes as long as the machine lets it.
  const { store, close, stops } = await open(
    `while (!Atomics.load(signs, ${ENOUGH})) { Atomics.add(trace, 0, 1); Atomics.add(signs, ${STEPS_TAKEN}, 1); }
     answer(true);`,
    { ...IMPATIENT, busy: 100 * IMPATIENT.call },
  );
  jest.useFakeTimers({ doNotFake: ["nextTick", "setImmediate", "queueMicrotask"] });
  try {
    const asked = store.hasDeals();
    let givenUp = false;
    asked.catch(() => {
      givenUp = true;
    });
    for (let patience = 0; patience < 20 && !givenUp; patience++) {
      const steps = Atomics.load(signs, STEPS_TAKEN);
      // Two: of the first its trace may have been left before.
      while (Atomics.load(signs, STEPS_TAKEN) < steps + 2) await new Promise(setImmediate);
      jest.advanceTimersByTime(IMPATIENT.call);
      await new Promise(setImmediate);
    }
    Atomics.store(signs, ENOUGH, 1);
    expect(await asked).toBe(true);
  } finally {
    jest.useRealTimers();
  }
  expect(stops).toEqual([]);
  await close();
});

test("a thread that gets no time to work is not taken to hang", async () => {
  const { store, close, stops } = await open(
    "Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 600); answer(true);",
    IMPATIENT,
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
