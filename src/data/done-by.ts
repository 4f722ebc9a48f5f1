import type { Doing } from "@/exchange/people";
import { askedBy } from "./asked-by";
import type { Database } from "./database";
import { type DoingToNote, noteDoing } from "./doings";
import { type Store, WORK } from "./store";

type Noted = {
  [Name in keyof Store]?: (
    args: Parameters<Store[Name]>,
    answer: Awaited<ReturnType<Store[Name]>>,
  ) => DoingToNote | undefined;
};

const hasChanged = (answer: unknown) =>
  answer !== undefined && answer !== false && typeof answer !== "string";

/** What was done where something has changed. */
const where =
  (what: Doing) =>
  ([of]: readonly unknown[], answer: unknown): DoingToNote | undefined =>
    hasChanged(answer) ? { what, ...(typeof of === "string" && { of }) } : undefined;
const always = (what: Doing) => (): DoingToNote => ({ what });

/** What each piece of work is noted as, where somebody has asked for it. */
const NOTED: Noted = {
  updateDeal: ([id, , change, saving], answer) => {
    if (!hasChanged(answer)) return undefined;
    const isSigned = change.heading?.status === "signed" && saving?.signing !== undefined;
    return { what: saving?.reopens ? "reopenedDeal" : isSigned ? "signedDeal" : "savedDeal", of: id };
  },
  updateDealer: where("savedDealersSide"),
  insertDeals: ([documents], ids) =>
    documents.length === 1 ? { what: "begunDeal", of: ids[0] ?? null } : { what: "broughtInDeals" },
  insertPart: always("broughtInDeals"),
  keepDealPeople: where("handedOverDeal"),
  keepRelease: where("released"),
  setDeleted: ([id, deleted], answer) =>
    answer === true ? { what: deleted ? "deletedDeal" : "broughtBackDeal", of: id } : undefined,
  keepGivenPaper: ([{ dealId }]) => ({ what: "gavePaper", of: dealId }),
  keepSettings: (_, answer) => (answer ? { what: "changedSettings" } : undefined),
  keepSettingsDealer: (_, answer) => (answer ? { what: "changedSettings" } : undefined),
  changeRates: (_, answer) => (answer ? { what: "changedRates" } : undefined),
  stockArrives: always("changedStock"),
  changeVehicle: ([of], answer) =>
    typeof answer === "object" && !("changed" in answer) ? { what: "changedStock", of } : undefined,
  takeOutOfStock: ([of], answer) => (answer === true ? { what: "changedStock", of } : undefined),
  correctName: ([, of], answer) => (typeof answer === "object" ? { what: "correctedName", of } : undefined),
  eraseCustomer: where("erasedCustomer"),
  makeOne: ([, of], answer) => (answer ? { what: "correctedName", of } : undefined),
  addPerson: (_, answer) => (typeof answer === "object" ? { what: "addedPerson", of: answer.id } : undefined),
  changePerson: where("changedPerson"),
  makeLink: ([of]) => ({ what: "madeLink", of }),
  signOutEverywhere: ([of]) => ({ what: "signedOutEverywhere", of }),
};

/** Does a piece of work; where somebody has asked for it, what is noted of it is kept with it or neither is. */
export async function done(database: Database, name: keyof Store, args: unknown[]): Promise<unknown> {
  const work = WORK[name] as (database: Database, ...args: unknown[]) => unknown;
  const noted =
    askedBy() && (NOTED[name] as ((args: unknown[], answer: unknown) => DoingToNote | undefined) | undefined);
  if (!noted) return work(database, ...args);
  return database.transaction(async tx => {
    const answer = await work(tx, ...args);
    const doing = noted(args, answer);
    if (doing) await noteDoing(tx, doing);
    return answer;
  });
}
