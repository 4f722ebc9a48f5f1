import { healthAsks, sayWaits } from "./health-asks";
import { HEAVY_LOAN, largestFile } from "./heavy-deals";
import { paperAddress } from "./papers";
import { say } from "./say";

const MANY = 20_000;
const VEHICLES = 2000;
const LARGEST_TEXT = 480_000;
const CHANGES = 300;

type Route = {
  route: string;
  /** Makes ready what is asked, which is not measured; gives what asks once. */
  ready: (address: string) => Promise<() => Promise<void>>;
  /** Whether it is asked once: it takes longer than the asks. */
  isLong?: true;
};

/** The heaviest request of each route that takes or gives more than a line. */
const ROUTES: Route[] = [
  // What the machine itself makes wait.
  { route: "nothing", ready: async () => () => new Promise(resolve => setTimeout(resolve, 1000)) },
  { route: "GET / (register)", ready: async address => () => get(`${address}/?search=van`) },
  {
    route: "GET /api/deals",
    ready: async address => () => get(`${address}/api/deals?search=o&sort=payment`),
  },
  {
    route: "GET /deals/[id]",
    ready: async address => of(await largest(address), id => get(`${address}/deals/${id}`)),
  },
  {
    route: "GET /api/deals/[id]",
    ready: async address => of(await largest(address), id => get(`${address}/api/deals/${id}`)),
  },
  {
    route: "GET /deals/[id], signed with eight heavy options",
    ready: async address => of(await largestSigned(address), id => get(`${address}/deals/${id}`)),
  },
  {
    route: "GET /api/deals/[id], signed with eight heavy options",
    ready: async address => of(await largestSigned(address), id => get(`${address}/api/deals/${id}`)),
  },
  {
    route: "POST /api/deals/[id]/papers/repaymentTable, 1,200 payments",
    ready: async address => {
      const paper = await paperAddress(address, "repaymentTable");
      return () => send("POST", paper, "").then(() => {});
    },
  },
  {
    route: "POST /api/deals, refused",
    ready: async address => () =>
      refused(
        "POST",
        `${address}/api/deals`,
        JSON.stringify({ document: { customer: "x".repeat(LARGEST_TEXT) } }),
      ),
  },
  {
    route: "POST /api/deals/import",
    ready: async address => () => importFile(address, largestFile()).then(() => {}),
  },
  {
    route: "POST /api/deals/[id]/duplicate",
    ready: async address =>
      of(await largest(address), id =>
        send("POST", `${address}/api/deals/${id}/duplicate`, "{}").then(() => {}),
      ),
  },
  {
    route: "PUT /api/deals/[id], signed with eight heavy options",
    ready: async address => () => largestSigned(address).then(() => {}),
  },
  { route: "GET /api/deals/[id]/history/1", ready: longHistory },
  { route: "GET /api/names", ready: async address => () => get(`${address}/api/names?customer=o`) },
  {
    route: `POST /api/stock of ${VEHICLES} vehicles`,
    ready: async address => () =>
      send("POST", `${address}/api/stock`, JSON.stringify({ vehicles: vehicles() })).then(() => {}),
  },
  { route: "GET /api/deals/all", ready: async address => () => get(`${address}/api/deals/all`) },
  { route: "GET /api/backup", ready: async address => () => get(`${address}/api/backup`) },
  { route: `POST /api/deals/all of ${MANY} deals`, ready: manyDeals, isLong: true },
  { route: "POST /api/backups/restore", ready: restoring, isLong: true },
];

/** Asks a server whether it is well while the heaviest request of each of its routes is asked again and again. */
export async function benchHeaviest(address: string): Promise<void> {
  for (const { route, ready, isLong } of ROUTES) {
    const ask = await ready(address);
    let isOver = false;
    let [times, began] = [0, performance.now()];
    const work = (async () => {
      do {
        await ask();
        times++;
        if (isLong)
          say(
            `${route}, seconds`,
            `${((performance.now() - began) / 1000).toFixed(1)} s`,
            isLong && route.includes("deals/all") ? "target ≤ 60 s" : "",
          );
      } while (!isOver && !isLong);
    })();
    work.catch(() => {});
    began = performance.now();
    const waits = await healthAsks(address);
    isOver = true;
    await work;
    sayWaits(`health during ${route}, ${times} times`, waits, "≤ 100 ms");
  }
}

const of = (id: string, ask: (id: string) => Promise<void>) => () => ask(id);

async function get(address: string): Promise<void> {
  const answer = await fetch(address);
  await answer.arrayBuffer();
  if (!answer.ok) throw new Error(`${address}: ${answer.status}`);
}

async function send(
  method: string,
  path: string,
  body: BodyInit,
  type = "application/json",
): Promise<string> {
  const answer = await fetch(path, { method, headers: { "Content-Type": type }, body });
  const text = await answer.text();
  if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${text.slice(0, 200)}`);
  return text;
}

async function refused(method: string, path: string, body: string): Promise<void> {
  const answer = await fetch(path, { method, headers: { "Content-Type": "application/json" }, body });
  await answer.text();
  if (answer.status < 400 || answer.status > 499) throw new Error(`${path}: ${answer.status}`);
}

type LoanDeal = { id: string; version: number; document: { options: { id: string; inputs: unknown }[] } };

const importFile = async (address: string, text: string): Promise<LoanDeal> =>
  JSON.parse(
    await send("POST", `${address}/api/deals/import`, JSON.stringify({ fileName: "Largest.json", text })),
  );

const largest = async (address: string): Promise<string> => (await importFile(address, largestFile())).id;

/** Signs a deal of eight options, each of which takes as much work as one answer may; gives its id. */
async function largestSigned(address: string): Promise<string> {
  const { structure, plan, find, from } = JSON.parse(HEAVY_LOAN);
  const text = JSON.stringify({
    format: "kellux-deal",
    version: 2,
    currency: "USD",
    options: Array.from({ length: 8 }, () => ({ structure, plan, find, from })),
  });
  const { id, version } = await importFile(address, text);
  const heading = { customer: "Heavy", vehicle: "", status: "signed" };
  await send(
    "PUT",
    `${address}/api/deals/${id}`,
    JSON.stringify({ version, change: { heading }, brief: true }),
  );
  return id;
}

async function longHistory(address: string): Promise<() => Promise<void>> {
  const deal = await importFile(address, HEAVY_LOAN);
  const path = `${address}/api/deals/${deal.id}`;
  for (let k = 0; k < CHANGES; k++) {
    // What is changed closely on the same figure would be one entry.
    const heading =
      k % 2
        ? { customer: `Changed ${k}`, vehicle: "", status: "quoting" }
        : { customer: "Changed", vehicle: `Van ${k}`, status: "agreed" };
    await send("PUT", path, JSON.stringify({ version: deal.version + k, change: { heading }, brief: true }));
  }
  return () => get(`${path}/history/1`);
}

const vehicles = () =>
  Array.from({ length: VEHICLES }, (_, k) => ({
    description: `Ostrel U2 utility van, stock ${k}`,
    priceMinor: 3_148_000 + k,
    costMinor: null,
    listPriceMinor: null,
    currency: "USD",
  }));

async function manyDeals(address: string): Promise<() => Promise<void>> {
  const deal = (k: number) => ({
    format: "kellux-deal",
    version: 2,
    currency: "USD",
    customer: `Brought In ${k}`,
    options: [
      {
        structure: { price: `${30_000 + k}.00` },
        plan: { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 60 },
        find: "payment",
      },
    ],
  });
  const text = Array.from({ length: MANY }, (_, k) => `${JSON.stringify(deal(k))}\n`).join("");
  return () => send("POST", `${address}/api/deals/all`, text, "application/x-ndjson").then(() => {});
}

async function restoring(address: string): Promise<() => Promise<void>> {
  const backup = await (await fetch(`${address}/api/backup`)).arrayBuffer();
  return () => send("POST", `${address}/api/backups/restore`, backup, "application/gzip").then(() => {});
}
