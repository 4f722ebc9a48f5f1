import { healthAsk, healthAsks, sayWaits } from "./health-asks";
import { HEAVY_LOAN, largestFile } from "./heavy-deals";

const DROPPED = 1000;
const SEARCH_KEYS = ["v", "va", "van", "zoe", "zoe 1", "stock 19", "683.97", "no answer"];
const SEARCH_APART_MS = 150;

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

async function dropIn(address: string, isOn: () => boolean): Promise<number> {
  let dropped = 0;
  for (; dropped < DROPPED && isOn(); dropped++)
    await send(
      "POST",
      `${address}/api/deals/import`,
      JSON.stringify({ fileName: `Heavy ${dropped}.json`, text: HEAVY_LOAN }),
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

async function send(method: string, path: string, body: string): Promise<string> {
  const answer = await fetch(path, { method, headers: { "Content-Type": "application/json" }, body });
  const text = await answer.text();
  if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${text.slice(0, 200)}`);
  return text;
}

const pause = (milliseconds: number) => new Promise(resolve => setTimeout(resolve, milliseconds));
