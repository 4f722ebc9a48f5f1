import type { RegisterAsked } from "@/server/contract";

/** The register as it opens: the deals that were changed last. */
const LAST_CHANGED: RegisterAsked = {
  search: "",
  status: null,
  planKind: null,
  from: null,
  to: null,
  sort: "changedAt",
  descending: true,
  page: 1,
};

/** What of the register is asked for as the end of an address, without what goes without saying. */
export function registerQuery(asked: RegisterAsked): string {
  const { search, status, planKind, from, to, deleted, owner, branch, sort, descending, page } = asked;
  const query = new URLSearchParams({
    ...(search.trim() && { search }),
    ...(status && { status }),
    ...(planKind && { plan: planKind }),
    ...(from && { from }),
    ...(to && { to }),
    ...(deleted && { deleted: "yes" }),
    ...(owner && { owner }),
    ...(branch && { branch }),
    ...((sort !== LAST_CHANGED.sort || !descending) && {
      sort,
      order: descending ? "descending" : "ascending",
    }),
    ...(page > 1 && { page: String(page) }),
  }).toString();
  return query && `?${query}`;
}
