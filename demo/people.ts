import type { PersonSettled } from "@/data/people";

/** The branches of Tarn & Hollow. */
const [HARBOUR, QUARRY] = ["Harbour", "Quarry Road"];

/** What each of them signs in with: it is in the README, so it keeps nobody out. */
export const DEMO_PASSWORD = "sea glass and three gulls";

/** Four people who work at Tarn & Hollow; the first is its administrator. */
export const DEMO_PEOPLE: readonly [PersonSettled, ...PersonSettled[]] = [
  {
    name: "Maren Castellane",
    username: "maren",
    roles: ["administrator", "manager"],
    branch: HARBOUR,
  },
  { name: "Ivo Ternhaven", username: "ivo", roles: ["officer"], branch: HARBOUR },
  { name: "Wren Halloway", username: "wren", roles: ["seller"], branch: HARBOUR },
  { name: "Odile Marsh", username: "odile", roles: ["officer"], branch: QUARRY },
];

/** Whose deals are, by turns; and who has sold each. */
export const DEMO_OWNERS: readonly { owner: string; seller?: string }[] = [
  { owner: "ivo", seller: "wren" },
  { owner: "odile" },
  { owner: "ivo" },
  { owner: "wren" },
];

export const DEMO_SHARE = "20";
