import {
  applyChange,
  changeUpToDate,
  type DealChange,
  type DealDocument,
  nameOf,
} from "@/exchange/deal-document";
import { newDealDocument } from "@/exchange/new-deal/new-deal";
import type { Answer } from "@/features/api/client";
import { createAutosave, DEAL_PARTS, type SaveStatus } from "@/features/saving/autosave";
import { pendingChanges } from "@/features/saving/left-behind";
import { type ChangeStorage, pendingOf } from "@/features/saving/pending-changes";
import type { DealReply, SaveReply } from "@/server/contract";
import { named as person } from "../named";

const AT = "2026-11-24T10:42:00.000Z";
const NEW = newDealDocument("2026-11-24");
const named = (customer: string): DealDocument => (customer ? { ...NEW, customer: person(customer) } : NEW);
const reply = (version: number, document: DealDocument): DealReply => ({
  id: "d",
  version,
  changedAt: AT,
  deleted: false,
  document,
});

function memoryStorage(): ChangeStorage {
  const kept = new Map<string, string>();
  return {
    getItem: key => kept.get(key) ?? null,
    setItem: (key, value) => void kept.set(key, value),
    removeItem: key => void kept.delete(key),
    keys: () => [...kept.keys()],
  };
}

/** A page with a server that answers as it is told. */
function page(holds: (both: DealDocument) => boolean = () => true) {
  const server = { version: 1, away: false, failing: "", saved: named("") };
  // As the page knows it: with the deal of somebody else's change the answer gives the deal, else it is brief.
  let known = server.saved;
  const sent: [version: number, customer: string | undefined][] = [];
  const sentAt: number[] = [];
  const merged: DealChange[] = [];
  const statuses: SaveStatus["kind"][] = [];
  const storage = memoryStorage();
  const autosave = createAutosave({
    parts: DEAL_PARTS,
    kept: reply(1, server.saved),
    pending: pendingOf(storage, { dealId: "d", pageId: "p" }),
    onMerged: change => merged.push(change),
    holds: async both => holds(both),
    onStatus: status => statuses.push(status.kind),
    send: async (version, change): Promise<Answer<SaveReply>> => {
      sent.push([version, change.heading && nameOf(change.heading.customer)]);
      sentAt.push(Date.now());
      if (server.away) return { kind: "away" };
      if (server.failing) return { kind: "failing", sentence: server.failing };
      if (version !== server.version) {
        return {
          kind: "refused",
          status: 409,
          sentence: "changed",
          current: reply(server.version, server.saved),
        };
      }
      const isKnown = server.saved === known;
      server.version += 1;
      server.saved = applyChange(server.saved, change);
      known = server.saved;
      const { document, ...brief } = reply(server.version, server.saved);
      return { kind: "done", value: isKnown ? brief : { ...brief, document } };
    },
  });
  const kept = () => pendingChanges(storage).map(change => change.customer);
  return { server, sent, sentAt, merged, statuses, autosave, kept, storage };
}

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test("waits for a pause in typing, then saves the newest state once", async () => {
  const { sent, statuses, autosave, kept } = page();
  autosave.change(named("A"));
  autosave.change(named("An"));
  autosave.change(named("Ana"));
  expect(kept()).toEqual(["Ana"]);
  await jest.advanceTimersByTimeAsync(1000);
  expect(sent).toEqual([[1, "Ana"]]);
  expect(statuses.at(-1)).toBe("saved");
  expect(kept()).toEqual([]);
});

test("a change made during a save follows it, from the new version", async () => {
  const { sent, autosave } = page();
  autosave.change(named("A"));
  autosave.flush();
  autosave.change(named("B"));
  await jest.advanceTimersByTimeAsync(1000);
  expect(sent).toEqual([
    [1, "A"],
    [2, "B"],
  ]);
});

test("while the server is away the change is kept and tried again until it is back", async () => {
  const { server, statuses, autosave, kept } = page();
  server.away = true;
  autosave.change(named("A"));
  await jest.advanceTimersByTimeAsync(5000);
  expect(statuses.at(-1)).toBe("away");
  expect(kept()).toEqual(["A"]);
  autosave.change(named("B"));
  server.away = false;
  await jest.advanceTimersByTimeAsync(10_000);
  expect(server.saved.customer?.name).toBe("B");
  expect(statuses.at(-1)).toBe("saved");
  expect(kept()).toEqual([]);
});

/** Milliseconds from each time that something was sent to the next. */
const gapsOf = (sentAt: readonly number[]) =>
  sentAt.slice(1).map((at, index) => at - (sentAt[index] ?? Number.NaN));

test.each(["away", "failing"] as const)(
  "while the server is %s it is tried again after 1, 2, 4 and then every 8 s; after an answer from 1 s anew",
  async how => {
    const { server, sentAt, autosave } = page();
    const isOut = (out: boolean) => {
      server.away = out && how === "away";
      server.failing = out && how === "failing" ? "The server's disk is full." : "";
    };
    isOut(true);
    autosave.change(named("A"));
    await jest.advanceTimersByTimeAsync(40_000);
    expect(gapsOf(sentAt)).toEqual([1000, 2000, 4000, 8000, 8000, 8000, 8000]);
    isOut(false);
    await jest.advanceTimersByTimeAsync(8000);
    expect(server.saved.customer?.name).toBe("A");
    isOut(true);
    const before = sentAt.length;
    autosave.change(named("B"));
    await jest.advanceTimersByTimeAsync(10_000);
    expect(gapsOf(sentAt.slice(before))).toEqual([1000, 2000, 4000]);
  },
);

test("after a conflict nothing is sent until the officer has chosen, and later typing is kept", async () => {
  const { server, sent, statuses, autosave, kept } = page();
  server.version = 5;
  server.saved = named("theirs");
  autosave.change(named("mine"));
  await jest.advanceTimersByTimeAsync(1000);
  expect(statuses.at(-1)).toBe("conflict");
  autosave.change(named("mine too"));
  await jest.advanceTimersByTimeAsync(60_000);
  expect(sent).toHaveLength(1);
  expect(kept()).toEqual(["mine too"]);

  autosave.continueFrom(reply(5, named("theirs")));
  await jest.advanceTimersByTimeAsync(1000);
  expect(server.saved.customer?.name).toBe("mine too");
  expect(statuses.at(-1)).toBe("saved");
});

test("a page that goes sends what waits at once", async () => {
  const { server, autosave } = page();
  autosave.change(named("A"));
  autosave.stop();
  await jest.advanceTimersByTimeAsync(0);
  expect(server.saved.customer?.name).toBe("A");
});

/** A deal with another price. */
function priced(document: DealDocument, price: string): DealDocument {
  const options = document.options.map(option => ({
    ...option,
    inputs: { ...option.inputs, structure: { ...option.inputs.structure, price } },
  }));
  return { ...document, options };
}

test("only what was changed is sent, and what others changed meanwhile comes to the screen", async () => {
  const { server, merged, statuses, autosave } = page();
  // Somebody else names the customer, which the server puts together with what is saved from here.
  server.saved = named("Ida");
  autosave.change(priced(named(""), "500.00"));
  await jest.advanceTimersByTimeAsync(1000);
  expect(server.saved).toEqual(priced(named("Ida"), "500.00"));
  expect(merged).toEqual([{ heading: { customer: person("Ida"), status: "quoting" } }]);
  expect(statuses.at(-1)).toBe("saved");
});

test("what others changed while it was being changed here too is a conflict", async () => {
  const { server, merged, statuses, autosave, kept } = page();
  server.saved = named("Ida");
  autosave.change(priced(named(""), "500.00"));
  autosave.flush();
  autosave.change(priced(named("Isolde"), "500.00"));
  await jest.advanceTimersByTimeAsync(1000);
  expect(statuses.at(-1)).toBe("conflict");
  expect(merged).toEqual([]);
  expect(kept()).toEqual(["Isolde"]);
});

test("a change that was taken back is not sent, nor kept", async () => {
  const { sent, statuses, autosave, kept } = page();
  autosave.change(named("A"));
  autosave.change(named(""));
  await jest.advanceTimersByTimeAsync(1000);
  expect(sent).toEqual([]);
  expect(statuses.at(-1)).toBe("saved");
  expect(kept()).toEqual([]);
});

test("a change that a page from before options left behind is taken up as one of today", () => {
  const { storage } = page();
  const inputs = NEW.options[0]?.inputs;
  const document = { customer: "Ned", vehicle: "", status: "quoting", inputs };
  storage.setItem("kellux.pending.d.q", JSON.stringify({ dealId: "d", pageId: "q", version: 3, document }));
  const [change] = pendingChanges(storage, "d");
  expect(change).toMatchObject({ version: 3, customer: "Ned" });
  // Put into the deal as it is kept, its only option keeps its id.
  expect(applyChange(NEW, changeUpToDate(NEW, change?.change ?? {}))).toEqual({
    ...NEW,
    customer: { id: expect.any(String), name: "Ned" },
  });
});

test("a server that fails is told from one that is away; the change is kept and tried again all the same", async () => {
  const { server, statuses, autosave, kept } = page();
  server.failing = "The server's disk is full.";
  autosave.change(named("A"));
  await jest.advanceTimersByTimeAsync(5000);
  expect(statuses.at(-1)).toBe("failing");
  expect(kept()).toEqual(["A"]);
  server.failing = "";
  await jest.advanceTimersByTimeAsync(10_000);
  expect(server.saved.customer?.name).toBe("A");
  expect(statuses.at(-1)).toBe("saved");
});

/** A deal with other figures of its plan. */
function planned(document: DealDocument, plan: Record<string, unknown>): DealDocument {
  const options = document.options.map(option => ({
    ...option,
    inputs: { ...option.inputs, plan: { ...option.inputs.plan, ...plan } } as typeof option.inputs,
  }));
  return { ...document, options };
}

/** Somebody else saves from another page. */
function saveElsewhere(server: ReturnType<typeof page>["server"], document: DealDocument) {
  server.version += 1;
  server.saved = document;
}

test("two pages that change different figures of one option both keep theirs", async () => {
  const { server, merged, statuses, autosave } = page();
  saveElsewhere(server, planned(named(""), { yearlyRate: "7.25" }));
  autosave.change(priced(named(""), "500.00"));
  await jest.advanceTimersByTimeAsync(1000);
  const both = planned(priced(named(""), "500.00"), { yearlyRate: "7.25" });
  expect(server.saved).toEqual(both);
  expect(applyChange(priced(named(""), "500.00"), merged[0] ?? {})).toEqual(both);
  expect(statuses).not.toContain("conflict");
});

test.each([
  ["the same figure", (document: DealDocument) => priced(document, "600.00")],
  ["what is found and from what", (document: DealDocument) => planned(found(document), { payment: "90.00" })],
])("two pages that change %s are asked", async (_, change) => {
  const { server, statuses, autosave } = page();
  saveElsewhere(server, change(named("")));
  autosave.change(priced(named(""), "500.00"));
  await jest.advanceTimersByTimeAsync(1000);
  expect(statuses.at(-1)).toBe("conflict");
  expect(server.saved).toEqual(change(named("")));
});

const found = (document: DealDocument): DealDocument => ({
  ...document,
  options: document.options.map(option => ({
    ...option,
    inputs: { ...option.inputs, find: "price" } as typeof option.inputs,
  })),
});

test("figures that do not go together are asked about", async () => {
  const { server, statuses, autosave } = page(() => false);
  saveElsewhere(server, planned(named(""), { yearlyRate: "7.25" }));
  autosave.change(priced(named(""), "500.00"));
  await jest.advanceTimersByTimeAsync(1000);
  expect(statuses.at(-1)).toBe("conflict");
});

test("a deal that somebody else changed is not signed unseen", async () => {
  const { server, statuses, autosave } = page();
  saveElsewhere(server, planned(named(""), { yearlyRate: "7.25" }));
  autosave.change({ ...named(""), status: "signed" });
  await jest.advanceTimersByTimeAsync(1000);
  expect(statuses.at(-1)).toBe("conflict");
  expect(server.saved.status).toBe("quoting");
});

test("an option is not chosen unseen where somebody else has changed anything of the deal", async () => {
  const { server, statuses, autosave } = page();
  const [first] = NEW.options;
  if (!first) throw new Error("A new deal has an option.");
  const two = { ...NEW, options: [first, { ...first, id: "another" }] };
  autosave.change(two);
  await jest.advanceTimersByTimeAsync(1000);
  saveElsewhere(server, priced(two, "36000.00"));
  autosave.change({ ...two, chosen: "another" });
  await jest.advanceTimersByTimeAsync(1000);
  expect(statuses.at(-1)).toBe("conflict");
  expect(server.saved.chosen).toBe(first.id);
});

test("a change that was kept though its answer was lost is no conflict with oneself", async () => {
  const { server, statuses, autosave } = page();
  server.away = true;
  autosave.change(priced(named(""), "5.00"));
  await jest.advanceTimersByTimeAsync(400);
  // It arrived all the same, and the figure was typed on.
  saveElsewhere(server, priced(named(""), "5.00"));
  server.away = false;
  autosave.change(priced(named(""), "500.00"));
  await jest.advanceTimersByTimeAsync(10_000);
  expect(server.saved).toEqual(priced(named(""), "500.00"));
  expect(statuses).not.toContain("conflict");
});

test("what an earlier page had sent is no conflict with oneself, nor with what has been typed since", async () => {
  const { server, statuses, autosave, sent } = page();
  const left = named("Left behind");
  autosave.takeUp({ version: 1, document: server.saved }, left);
  autosave.change({ ...left, vehicle: person("Van") });
  // What the earlier page sent as it went arrives only now.
  server.saved = left;
  server.version = 2;
  await jest.advanceTimersByTimeAsync(2000);
  expect(statuses).not.toContain("conflict");
  expect(server.saved).toMatchObject({ customer: person("Left behind"), vehicle: person("Van") });
  autosave.change({ ...left, customer: person("Typed since"), vehicle: person("Van") });
  await jest.advanceTimersByTimeAsync(2000);
  expect(server.saved).toMatchObject({ customer: person("Typed since"), vehicle: person("Van") });
  expect(sent.length).toBeGreaterThan(1);
});

describe("what others have saved meanwhile", () => {
  const theirs = (version: number, customer: string) => async () =>
    ({ kind: "saved", theirs: reply(version, named(customer)) }) as const;

  test("is put on the screen where nothing is unsaved here, and is what the next change is made from", async () => {
    const { server, sent, merged, statuses, autosave } = page();
    server.version = 4;
    server.saved = named("Theirs");
    await autosave.learn(theirs(4, "Theirs"));
    expect(merged).toEqual([{ heading: expect.objectContaining({ customer: person("Theirs") }) }]);
    expect(statuses.at(-1)).toBe("saved");
    autosave.change(named("Mine"));
    await jest.runAllTimersAsync();
    expect(sent).toEqual([[4, "Mine"]]);
  });

  test("waits where something is unsaved here: the save meets it", async () => {
    const { merged, autosave } = page();
    autosave.change(named("Mine"));
    const ask = jest.fn();
    await autosave.learn(ask);
    expect([ask.mock.calls.length, merged]).toEqual([0, []]);
    await jest.runAllTimersAsync();
    // And where it was typed while the server was asked.
    await autosave.learn(async () => {
      autosave.change(named("Mine again"));
      return { kind: "saved", theirs: reply(9, named("Theirs")) };
    });
    expect(merged).toEqual([]);
  });

  test("that it was deleted is said once, and that it is back, too; a server that is away says nothing", async () => {
    const { statuses, autosave } = page();
    await autosave.learn(async () => ({ kind: "away" }));
    await autosave.learn(async () => ({ kind: "same" }));
    expect(statuses).toEqual([]);
    await autosave.learn(async () => ({ kind: "deleted" }));
    await autosave.learn(async () => ({ kind: "deleted" }));
    expect(statuses).toEqual(["deleted"]);
    await autosave.learn(async () => ({ kind: "same" }));
    expect(statuses).toEqual(["deleted", "saved"]);
  });
});
