import { parseIsoDate } from "@/core";
import type { DoingsAsked } from "@/data/doings";
import type { Store } from "@/data/store";
import { DOINGS, DOINGS_OF_DEALS, type Doing } from "@/exchange/people";
import type { TableFile } from "@/exchange/workbook/table.schema";
import type { DoingsReply } from "../contract";
import { isUuid } from "../door";
import { Refusal } from "../refusal";

const PAGE = 100;
const MOST_IN_A_TABLE = 20_000;
const DAY_MS = 86_400_000;

/** Reads what an address asks of who did what: by whom, of what, on which days, before which line. */
export function readDoingsAsked(params: URLSearchParams): Omit<DoingsAsked, "most"> {
  const [who, of, before] = ["who", "of", "before"].map(name => params.get(name));
  if (who && !isUuid(who))
    throw new Refusal(400, "The address must name the person by their id, or not at all.");
  if (of && !isUuid(of)) throw new Refusal(400, "The address must name the deal or the person by its id.");
  const [at = "", id = null] = (before ?? "").split(" ");
  if (before && (Number.isNaN(Date.parse(at)) || !isUuid(id)))
    throw new Refusal(400, "The address must name the last line in view as it was given.");
  return {
    who: who ?? null,
    of: of ?? null,
    from: dayIn(params.get("from"), 0),
    until: dayIn(params.get("to"), 1),
    before: before && id ? { at: new Date(at), id } : null,
  };
}

/** Days are UTC's, as the lines are kept. */
function dayIn(text: string | null, later: number): Date | null {
  if (text === null || text === "") return null;
  const day = parseIsoDate(text);
  if (day === undefined) throw new Refusal(400, "The address must name days such as 2026-11-30.");
  return new Date((day + later) * DAY_MS);
}

/** Who did what, the latest first. */
export async function openDoings(store: Store, asked: Omit<DoingsAsked, "most">): Promise<DoingsReply> {
  const lines = await store.findDoings({ ...asked, most: PAGE + 1 });
  const names = await namesOf(store);
  const shown = lines.slice(0, PAGE);
  const last = shown.at(-1);
  return {
    doings: shown.map(({ at, who, what, of, from, id }) => ({
      id,
      at: at.toISOString(),
      who: who === null ? null : (names.get(who) ?? ""),
      what: inWords(what),
      deal: DOINGS_OF_DEALS.has(what) ? of : null,
      person: of === null ? null : (names.get(of) ?? null),
      from,
    })),
    next: lines.length > PAGE && last ? `${last.at.toISOString()} ${last.id}` : null,
  };
}

const inWords = (what: string) => DOINGS[what as Doing] ?? what;

const namesOf = async (store: Store) => new Map((await store.listPeople()).map(({ id, name }) => [id, name]));

/** The same as a table, all that are found. */
export async function doingsTable(store: Store, asked: Omit<DoingsAsked, "most">): Promise<TableFile> {
  const lines = await store.findDoings({ ...asked, most: MOST_IN_A_TABLE });
  const names = await namesOf(store);
  return {
    name: "Who did what",
    day: new Date().toISOString().slice(0, 10),
    decimals: 2,
    locale: "en-US",
    headings: ["At (UTC)", "Who", "What", "Of", "From", "Request"],
    rows: lines.map(({ at, who, what, of, from, request }) => [
      at.toISOString().slice(0, 19).replace("T", " "),
      who === null ? "" : (names.get(who) ?? who),
      inWords(what),
      of === null ? "" : (names.get(of) ?? of),
      from ?? "",
      request ?? "",
    ]),
  };
}
