import { say } from "./say";

const ASKS = 1000;
const APART_MS = 20;
const DROPPED = 1000;
const SEARCH_KEYS = ["v", "va", "van", "zoe", "zoe 1", "stock 19", "683.97", "no answer"];
const SEARCH_APART_MS = 150;

/** A valid deal that takes as much work to find as one answer may. */
const HEAVY = JSON.stringify({
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: {},
  plan: {
    kind: "loan",
    yearlyRate: "22.47",
    payments: 1200,
    frequency: "monthly",
    dayCount: "actual/365",
    compounding: "quarterly",
    deferred: { payments: 6, interest: "waived" },
    signed: "2026-11-25",
    firstPayment: "2027-01-08",
  },
  find: "price",
  from: { financeCharge: "65591.00" },
});

/**
 * Asks a server 1,000 times whether it is well, 20 ms apart: first while nobody else wants anything, then while it takes
 * in a thousand deals that are heavy to find, searches all its deals, and saves the largest deal again and again.
 */
export async function benchOthersWait(address: string): Promise<void> {
  await warmUp(address);
  sayWaits("health alone", await healthAsks(address));
  let isOver = false;
  const isOn = () => !isOver;
  const work = Promise.all([dropIn(address, isOn), search(address, isOn), saveLargest(address, isOn)]);
  // What fails is heard of at the end, when the asks are in.
  work.catch(() => {});
  const waits = await healthAsks(address);
  isOver = true;
  const [dropped, searches, saves] = await work;
  sayWaits(
    `health during ${dropped} dropped in, ${searches} searches, ${saves} largest saves`,
    waits,
    "≤ 100 ms",
  );
}

/** Milliseconds that each ask took, sorted. */
async function healthAsks(address: string): Promise<number[]> {
  const waits: Promise<number>[] = [];
  for (let k = 0; k < ASKS; k++) {
    waits.push(healthAsk(address));
    await pause(APART_MS);
  }
  return (await Promise.all(waits)).sort((a, b) => a - b);
}

function sayWaits(what: string, sorted: readonly number[], target = ""): void {
  const at = (share: number) => `${(sorted[Math.ceil(share * ASKS) - 1] ?? 0).toFixed(0)} ms`;
  say(`${what}, p95`, at(0.95));
  say(`${what}, longest of ${ASKS}`, at(1), target && `target ${target}`);
}

/** Each kind of work once, as on a server that has been in use. */
async function warmUp(address: string): Promise<void> {
  const once = () => {
    let isFirst = true;
    return () => {
      const isOn = isFirst;
      isFirst = false;
      return isOn;
    };
  };
  for (let k = 0; k < 3; k++)
    for (const work of [dropIn, search, saveLargest, async () => healthAsk(address)])
      await work(address, once());
}

async function healthAsk(address: string): Promise<number> {
  const start = performance.now();
  const answer = await fetch(`${address}/api/health`);
  await answer.json();
  if (!answer.ok) throw new Error("The server is not well.");
  return performance.now() - start;
}

async function dropIn(address: string, isOn: () => boolean): Promise<number> {
  let dropped = 0;
  for (; dropped < DROPPED && isOn(); dropped++)
    await send(
      "POST",
      `${address}/api/deals/import`,
      JSON.stringify({ fileName: `Heavy ${dropped}.json`, text: HEAVY }),
    );
  return dropped;
}

async function search(address: string, isOn: () => boolean): Promise<number> {
  let searches = 0;
  for (; isOn(); searches++) {
    const words = SEARCH_KEYS[searches % SEARCH_KEYS.length] ?? "";
    await (await fetch(`${address}/api/deals?search=${encodeURIComponent(words)}`)).json();
    await pause(SEARCH_APART_MS);
  }
  return searches;
}

/** Saves a deal of the largest file that is accepted, as an officer who changes it does. */
async function saveLargest(address: string, isOn: () => boolean): Promise<number> {
  const text = largestFile();
  const reply = await send(
    "POST",
    `${address}/api/deals/import`,
    JSON.stringify({ fileName: "Largest.json", text }),
  );
  const deal = JSON.parse(reply) as { id: string; version: number; document: { options: { id: string }[] } };
  const optionId = deal.document.options[0]?.id ?? "";
  let saves = 0;
  for (; isOn(); saves++) {
    const inputs = text.replace('"price":"1', `"price":"${(saves % 8) + 2}`);
    const change = `{"options":[{"id":"${optionId}","name":"","inputs":${inputs}}]}`;
    await send(
      "PUT",
      `${address}/api/deals/${deal.id}`,
      `{"version":${deal.version + saves},"change":${change},"brief":true}`,
    );
    await pause(500);
  }
  return saves;
}

function largestFile(): string {
  const ask = (count: number) => ({
    ask: "apr",
    advances: Array.from({ length: count }, (_, k) => ({
      date: `2027-01-${String(1 + (k % 28)).padStart(2, "0")}`,
      amount: `${100 + k}.00`,
    })),
    payments: [{ date: "2029-01-01", amount: "900000000.00" }],
  });
  const plan = { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 60 };
  return JSON.stringify({
    format: "kellux-deal",
    version: 1,
    currency: "USD",
    structure: { price: "10000.00" },
    plan,
    find: "payment",
    ask: [ask(5000), ask(5000)],
  });
}

async function send(method: string, path: string, body: string): Promise<string> {
  const answer = await fetch(path, { method, headers: { "Content-Type": "application/json" }, body });
  const text = await answer.text();
  if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${text.slice(0, 200)}`);
  return text;
}

const pause = (milliseconds: number) => new Promise(resolve => setTimeout(resolve, milliseconds));
