import { parseIsoDate } from "@/core";
import { REGISTER_SORTS, type RegisterSort } from "@/data/register-page";
import type { Store } from "@/data/store";
import { DEAL_STATUSES, type DealStatus, LONGEST_NAME } from "@/exchange/deal-document";
import { notationOf, plainSearch } from "@/exchange/notation";
import { REGISTER_KINDS, type RegisterKind } from "@/exchange/option-words";
import { LONGEST_BRANCH } from "@/exchange/people";
import { periodInSearch } from "@/exchange/typing";
import type { RegisterAsked, RegisterPage, RegisterRow } from "./contract";
import { isUuid } from "./door";
import { Refusal } from "./refusal";
import { openSettings } from "./settings";

/** So many deals stand on a page. */
const PAGE = 25;

/**
 * A page of the register, in the order asked for: from the deals' lines alone, no deal is computed for it.
 *
 * @param withOwners whether people have names, and it is told whose each deal is
 */
export async function registerPage(
  store: Store,
  asked: RegisterAsked,
  withOwners = false,
): Promise<RegisterPage> {
  const skipped = (asked.page - 1) * PAGE;
  const { locale } = (await openSettings(store)).settings;
  const notation = notationOf(locale);
  const { text, days } = periodInSearch(asked.search, notation);
  const search = plainSearch(text, notation);
  const changed = {
    from: startOf(laterOf(asked.from, days?.from), 0),
    until: startOf(earlierOf(asked.to, days?.to), 1),
  };
  const query = { ...asked, search, changed, skip: skipped, most: PAGE };
  const { lines, found, isMore } = await store.findLines(query);
  const owned = withOwners
    ? await ownedBy(
        store,
        lines.map(({ id }) => id),
      )
    : undefined;
  const pages = Math.max(1, Math.ceil(found / PAGE));
  // A page that is gone with its deals is the last one.
  if (asked.page > pages) return registerPage(store, { ...asked, page: pages }, withOwners);
  return {
    rows: lines.map(
      ({ changedAt, currency, paid, madeBy, ...line }): RegisterRow => ({
        ...line,
        changedAt: changedAt.toISOString(),
        currency: currency ?? "",
        paid: paid ?? "",
        isMade: madeBy !== null,
        ...owned?.of(line.id),
      }),
    ),
    ...(owned && { owners: owned.owners }),
    locale,
    found,
    isMore,
    page: asked.page,
    pages,
    skipped,
  };
}

/** Whose deals are. */
async function ownedBy(store: Store, ids: string[]) {
  const people = await store.listPeople();
  const [owners, branches] = [await store.ownersOf(ids), await store.listBranches()];
  const names = new Map(people.map(({ id, name }) => [id, name]));
  return {
    owners: { people: people.map(({ id, name }) => ({ id, name })), branches },
    of: (id: string) => {
      const { owner, branch = null } = owners.get(id) ?? {};
      return { owner: owner ? (names.get(owner) ?? null) : null, branch };
    },
  };
}

type Day = string | null | undefined;
const laterOf = (one: Day, other: Day) => (one && other ? (one > other ? one : other) : (one ?? other));
const earlierOf = (one: Day, other: Day) => (one && other ? (one < other ? one : other) : (one ?? other));

/** When a day begins on the server's clock, which is the desk's own; so many days later. */
function startOf(day: Day, daysLater: number): Date | null {
  if (!day) return null;
  const [year = 0, month = 1, ofMonth = 1] = day.split("-").map(Number);
  return new Date(year, month - 1, ofMonth + daysLater);
}

/** Reads what of the register an address asks for; what it leaves out is the last changed deals. */
export function readRegisterAsked(asked: URLSearchParams): RegisterAsked {
  const search = asked.get("search") ?? "";
  const sort = asked.get("sort") ?? "changedAt";
  const order = asked.get("order") ?? (sort === "changedAt" ? "descending" : "ascending");
  const page = asked.get("page") ?? "1";
  const [from, to] = [dayIn(asked, "from"), dayIn(asked, "to")];
  const deleted = asked.get("deleted") ?? "no";
  const status = asked.get("status");
  const planKind = asked.get("plan");
  const [owner, branch] = [asked.get("owner"), asked.get("branch")];
  const isSearch = search.length <= LONGEST_NAME && !search.includes("\u0000");
  check(isSearch, `A search has at most ${LONGEST_NAME} letters.`);
  check(isSort(sort), `The register is sorted by ${REGISTER_SORTS.join(", ")}.`);
  check(order === "ascending" || order === "descending", "The order is ascending or descending.");
  check(/^[1-9]\d{0,6}$/.test(page), "The page is a whole number from 1.");
  check(deleted === "yes" || deleted === "no", "Deleted deals are asked for by yes or no.");
  check(status === null || isStatus(status), `The status is one of ${DEAL_STATUSES.join(", ")}.`);
  check(
    planKind === null || isKind(planKind),
    `The kind of plan is one of ${Object.keys(REGISTER_KINDS).join(", ")}.`,
  );
  check(owner === null || isUuid(owner), "Whose deals are meant is said by the person’s id.");
  check(isBranch(branch), `A branch has at most ${LONGEST_BRANCH} letters.`);
  return {
    search,
    status,
    planKind,
    from,
    to,
    ...(owner && { owner }),
    ...(branch && { branch }),
    ...(deleted === "yes" && { deleted: true }),
    sort,
    descending: order === "descending",
    page: Number(page),
  };
}

function check(isGood: boolean, sentence: string): asserts isGood {
  if (!isGood) throw new Refusal(422, sentence);
}

function dayIn(asked: URLSearchParams, name: "from" | "to"): string | null {
  const day = asked.get(name);
  if (day !== null && parseIsoDate(day) === undefined)
    throw new Refusal(422, "A day is written as 2026-11-24.");
  return day;
}

const isBranch = (text: string | null) =>
  text === null || (text.length <= LONGEST_BRANCH && !text.includes("\u0000"));
const isStatus = (text: string): text is DealStatus => (DEAL_STATUSES as readonly string[]).includes(text);
const isKind = (text: string): text is RegisterKind => Object.hasOwn(REGISTER_KINDS, text);

const isSort = (text: string): text is RegisterSort => (REGISTER_SORTS as string[]).includes(text);
