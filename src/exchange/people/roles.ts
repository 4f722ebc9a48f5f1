/** What somebody can be in the house, each with what it means. One person can be more than one. */
export const ROLES = {
  seller: "Builds deals; sees no cost, score or income",
  officer: "Own deals and the branch’s, with the dealer’s side; signs",
  manager: "All deals of the house, rates, stock and Earned; releases",
  accounting: "Sees all deals, follows funding, exports",
  administrator: "People, settings and backups",
  reader: "Looks at all deals, changes nothing",
} as const;

export type Role = keyof typeof ROLES;

export const ROLE_NAMES = Object.keys(ROLES) as Role[];

/** What can be done, by whom. What is not named here nobody may. */
const RIGHTS = {
  seeDeals: ["seller", "officer", "manager", "accounting", "reader"],
  changeDeals: ["seller", "officer", "manager"],
  /** Signing one, and what follows from it. */
  signDeals: ["officer", "manager"],
  givePapers: ["seller", "officer", "manager", "accounting"],
  /** Costs, buy rates and income; the customer's score, income and debts. */
  seeDealersSide: ["officer", "manager", "accounting"],
  changeDealersSide: ["officer", "manager", "accounting"],
  seeEarned: ["manager", "accounting"],
  exportDeals: ["officer", "manager", "accounting"],
  /** All deals as a file, in and out. */
  moveAllDeals: ["manager", "accounting"],
  changeStock: ["manager"],
  changeRates: ["manager"],
  release: ["manager"],
  eraseCustomers: ["manager"],
  seeDoings: ["manager"],
  changeSettings: ["administrator"],
  keepBackups: ["administrator"],
  keepPeople: ["administrator"],
  /** A one-time link for somebody who is no administrator. */
  handLinks: ["administrator", "manager"],
} as const satisfies Record<string, readonly Role[]>;

export type Right = keyof typeof RIGHTS;

export const RIGHT_NAMES = Object.keys(RIGHTS) as Right[];

/**
 * What somebody of these roles may do.
 *
 * @example rightsOf(["reader"]) // ["seeDeals"]
 */
export const rightsOf = (roles: readonly Role[]): Right[] =>
  RIGHT_NAMES.filter(right => (RIGHTS[right] as readonly Role[]).some(role => roles.includes(role)));

/** Who sees every deal of the house, and not only their own and their branch's. */
const SEE_ALL: readonly Role[] = ["manager", "accounting", "reader"];

/** Which deals somebody sees: all, those of the branch, or those alone on which they work. */
export type Reach = "house" | "branch" | "own";

/** @example reachOf(["seller", "officer"]) // "branch" */
export function reachOf(roles: readonly Role[]): Reach {
  if (roles.some(role => SEE_ALL.includes(role))) return "house";
  return roles.includes("officer") ? "branch" : "own";
}
