import type { Named } from "@/exchange/deal-document";
import type { CountedRecord, Erased } from "@/server/contract";
import { ask } from "./client";

type Member = "customer" | "vehicle";
const recordPath = (member: Member, id: string) => `/api/records/${member}/${id}`;

/** What can be asked of customers and vehicles. */
export const recordsApi = {
  /** With how many deals beside this one name it. */
  one: (member: Member, id: string, besideDeal?: string) =>
    ask<CountedRecord>("GET", `${recordPath(member, id)}${besideDeal ? `?beside=${besideDeal}` : ""}`),
  correct: (member: Member, { id, name: was }: Named, name: string) =>
    ask<Named>("PUT", recordPath(member, id), { was, name }),
  /** The other one is no more. */
  makeOne: (member: Member, id: string, other: string) =>
    ask<Named>("POST", `${recordPath(member, id)}/same`, { other }),
  erase: (id: string) => ask<Erased>("POST", `${recordPath("customer", id)}/erase`),
};
