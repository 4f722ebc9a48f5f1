// What processes tell each other, and pages hear of it.
import { changesBy } from "@/data/changes";
import { carryBy, deliver, type Message, tellChanges } from "@/server/changes/hub";
import { carryOverServer } from "@/server/changes/over-server";
import { changesStream, endStreams, type Followed } from "@/server/changes/stream";
import { readFollowed } from "@/server/followed";

const uuid = (k: number) => `00000000-0000-4000-8000-${String(k).padStart(12, "0")}`;
const DEAL = uuid(1);
const pageOf = (k: number, browser: number, deal = DEAL): Followed => ({
  page: uuid(100 + k),
  browser: uuid(200 + browser),
  deal,
});

afterEach(() => {
  endStreams();
  carryBy(deliver);
});

/** What a page that follows something has heard so far. */
function hearing(followed: Followed): { heard: string[]; leave: () => Promise<void>; ended: Promise<void> } {
  const heard: string[] = [];
  const reader = changesStream(followed).getReader();
  const decoder = new TextDecoder();
  const ended = (async () => {
    for (;;) {
      const { done, value } = await reader.read();
      if (done) return;
      for (const [, event, data] of decoder.decode(value).matchAll(/event: (\w+)\ndata: (.*)\n\n/g))
        heard.push(`${event} ${data}`);
    }
  })();
  return { heard, ended, leave: () => reader.cancel() };
}

const soon = () => new Promise(resolve => setTimeout(resolve, 60));

test("a page of a deal hears of that deal and of names, a list of its own changes, and both where all may be other", async () => {
  const [deal, other, stock] = [hearing(pageOf(1, 1)), hearing(pageOf(2, 2, uuid(2))), hearing("stock")];
  await soon();
  tellChanges([{ of: "deal", id: DEAL, version: 7 }, { of: "deals" }]);
  tellChanges([{ of: "deal", id: DEAL, version: 7 }, { of: "stock" }]);
  await soon();
  expect(deal.heard).toEqual(['changed {"version":7}']);
  expect(other.heard).toEqual([]);
  expect(stock.heard).toEqual(['changed {"version":null}']);
  tellChanges([{ of: "names" }]);
  await soon();
  deliver({ changes: [{ of: "everything" }] });
  await soon();
  expect([deal.heard.length, other.heard.length, stock.heard.length]).toEqual([3, 2, 2]);
});

test("a page hears who else has its deal open, also in another process, until they are gone", async () => {
  const first = hearing(pageOf(11, 1));
  await soon();
  expect(first.heard).toEqual([]);
  const [sameBrowser, another] = [hearing(pageOf(12, 1)), hearing(pageOf(13, 2))];
  hearing(pageOf(14, 3, uuid(9)));
  await soon();
  expect(first.heard.at(-1)).toBe('others {"windows":1,"browsers":1}');
  expect(another.heard.at(-1)).toBe('others {"windows":0,"browsers":1}');
  // Two windows of one browser are one other.
  deliver({
    open: [
      { deal: DEAL, page: uuid(301), browser: uuid(400) },
      { deal: DEAL, page: uuid(302), browser: uuid(400) },
    ],
  });
  await soon();
  expect(first.heard.at(-1)).toBe('others {"windows":1,"browsers":2}');
  deliver({ left: [uuid(301), uuid(302)] });
  await another.leave();
  await sameBrowser.leave();
  await soon();
  expect(first.heard.at(-1)).toBe('others {"windows":0,"browsers":0}');
});

test("streams end where the server is to end, so that nothing keeps it", async () => {
  const streams = [hearing("deals"), hearing(pageOf(21, 1)), hearing("rates")];
  await soon();
  endStreams();
  await Promise.all(streams.map(({ ended }) => ended));
});

test("what only the head is asked of is no page that is open", async () => {
  const first = hearing(pageOf(41, 1));
  changesStream(pageOf(42, 2));
  await soon();
  expect(first.heard).toEqual([]);
});

test("a page that takes nothing of what it is told is let go", async () => {
  const reader = changesStream("stock").getReader();
  await reader.read();
  for (let told = 0; told < 300; told++) deliver({ changes: [{ of: "stock" }] });
  let read = 0;
  for (let isOver = false; !isOver; read++) isOver = (await reader.read()).done;
  expect(read).toBeLessThan(250);
});

test("messages of many changes are carried in parts that a server takes, and heard where it does not carry them", async () => {
  const said: string[] = [];
  let hears: (said: string) => void = () => {};
  let isAway = false;
  carryOverServer({
    say: async (_channel, text) => {
      if (isAway) throw new Error("away");
      said.push(text);
    },
    listen: (_channel, hear) => {
      hears = hear;
    },
  });
  const page = hearing(pageOf(31, 1, uuid(160)));
  await soon();
  said.length = 0;
  tellChanges(Array.from({ length: 170 }, (_, k) => ({ of: "deal" as const, id: uuid(k), version: k })));
  await soon();
  expect(said.length).toBe(4);
  expect(Math.max(...said.map(text => Buffer.byteLength(text)))).toBeLessThan(8000);
  expect(page.heard).toEqual([]);
  for (const text of said) hears(text);
  await soon();
  expect(page.heard).toEqual(['changed {"version":160}']);
  isAway = true;
  tellChanges([{ of: "deal", id: uuid(160), version: 161 }]);
  await soon();
  expect(page.heard.at(-1)).toBe('changed {"version":161}');
  const { changes = [] } = JSON.parse(said[0] ?? "{}") as Message;
  expect(changes).toHaveLength(50);
});

test("what a save has changed is told, and nothing where it was refused", () => {
  expect(changesBy("updateDeal", [DEAL, 1, {}], { version: 2 })).toEqual([
    { of: "deal", id: DEAL, version: 2 },
    { of: "deals" },
  ]);
  for (const refused of [undefined, "signed"])
    expect(changesBy("updateDeal", [DEAL, 1, {}], refused)).toEqual([]);
  expect(changesBy("setDeleted", [DEAL, true], true)).toEqual([
    { of: "deal", id: DEAL, version: null },
    { of: "deals" },
  ]);
  expect(changesBy("changeRates", ["none", { put: [], gone: [] }], undefined)).toEqual([]);
  expect(changesBy("getDeal", [DEAL], undefined)).toEqual([]);
});

test("an address names what is followed, or is refused with a sentence", () => {
  const asked = (query: string) => readFollowed(new Request(`http://desk/api/changes?${query}`));
  expect(asked("of=stock")).toBe("stock");
  expect(asked(`deal=${DEAL}&page=${uuid(2)}&browser=${uuid(3)}`)).toEqual({
    ...{ deal: DEAL, page: uuid(2), browser: uuid(3) },
  });
  for (const wrong of ["", "of=", "of=jobs", `deal=${DEAL}`, `deal=1&page=${uuid(2)}&browser=${uuid(3)}`])
    expect(() => asked(wrong)).toThrow(/^The address (can follow|must name)/);
});
