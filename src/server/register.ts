import { REGISTER_SORTS, type RegisterSort } from "@/data/register-page";
import type { Store } from "@/data/store";
import { DEAL_STATUSES, type DealStatus, LONGEST_NAME } from "@/exchange/deal-document";
import { notationOf, plainSearch } from "@/exchange/notation";
import { REGISTER_KINDS, type RegisterKind } from "@/exchange/option-words";
import type { RegisterAsked, RegisterPage, RegisterRow } from "./contract";
import { Refusal } from "./refusal";
import { openSettings } from "./settings";

/** So many deals stand on a page. */
const PAGE = 25;

/** A page of the register, in the order asked for: from the deals' lines alone, no deal is computed for it. */
export async function registerPage(store: Store, asked: RegisterAsked): Promise<RegisterPage> {
  const skipped = (asked.page - 1) * PAGE;
  const { locale } = (await openSettings(store)).settings;
  const search = plainSearch(asked.search, notationOf(locale));
  const { lines, found, isMore } = await store.findLines({ ...asked, search, skip: skipped, most: PAGE });
  const pages = Math.max(1, Math.ceil(found / PAGE));
  // A page that is gone with its deals is the last one.
  if (asked.page > pages) return registerPage(store, { ...asked, page: pages });
  return {
    rows: lines.map(
      ({ changedAt, currency, paid, madeBy, ...line }): RegisterRow => ({
        ...line,
        changedAt: changedAt.toISOString(),
        currency: currency ?? "",
        paid: paid ?? "",
        isMade: madeBy !== null,
      }),
    ),
    locale,
    found,
    isMore,
    page: asked.page,
    pages,
    skipped,
  };
}

/** Reads what of the register an address asks for; what it leaves out is the last changed deals. */
export function readRegisterAsked(asked: URLSearchParams): RegisterAsked {
  const search = asked.get("search") ?? "";
  const sort = asked.get("sort") ?? "changedAt";
  const order = asked.get("order") ?? (sort === "changedAt" ? "descending" : "ascending");
  const page = asked.get("page") ?? "1";
  if (search.length > LONGEST_NAME || search.includes("\u0000"))
    throw new Refusal(422, `A search has at most ${LONGEST_NAME} letters.`);
  if (!isSort(sort)) throw new Refusal(422, `The register is sorted by ${REGISTER_SORTS.join(", ")}.`);
  if (order !== "ascending" && order !== "descending")
    throw new Refusal(422, "The order is ascending or descending.");
  if (!/^[1-9]\d{0,6}$/.test(page)) throw new Refusal(422, "The page is a whole number from 1.");
  const status = asked.get("status");
  const planKind = asked.get("plan");
  if (status !== null && !isStatus(status))
    throw new Refusal(422, `The status is one of ${DEAL_STATUSES.join(", ")}.`);
  if (planKind !== null && !isKind(planKind))
    throw new Refusal(422, `The kind of plan is one of ${Object.keys(REGISTER_KINDS).join(", ")}.`);
  return { search, status, planKind, sort, descending: order === "descending", page: Number(page) };
}

const isStatus = (text: string): text is DealStatus => (DEAL_STATUSES as readonly string[]).includes(text);
const isKind = (text: string): text is RegisterKind => Object.hasOwn(REGISTER_KINDS, text);

const isSort = (text: string): text is RegisterSort => (REGISTER_SORTS as string[]).includes(text);
