import type { Store } from "@/data/store";
import { type Asker, seenBy } from "./asker";
import { Refusal } from "./refusal";
import { serverStore, serverStoreAs } from "./store";

/**
 * What each piece of work is of, and so who may ask for it: every one is named here, and none is asked for on somebody's
 * behalf that is not.
 *
 * - deal: of the deal that its first argument names, which has to be seen;
 * - newDeal, house: of no deal that is there; what it does is the door's to allow;
 * - everyDeal: of deals wherever they are, for whoever sees all of them;
 * - found: of deals and names among which only those that are seen are looked for;
 * - record: of a customer or a vehicle, which a deal that is seen names;
 * - own: of who is signed in.
 */
type Of = "deal" | "newDeal" | "house" | "everyDeal" | "found" | "record" | "own";

const WHAT_IT_IS_OF: { readonly [Name in keyof Store]: Of } = {
  addJob: "house",
  addPerson: "house",
  answers: "house",
  arrivalStep: "house",
  backupBlob: "everyDeal",
  backupPart: "everyDeal",
  backupStart: "everyDeal",
  beginByDirectory: "own",
  beginCodes: "own",
  blobOf: "house",
  cancelArrival: "house",
  changePassword: "own",
  changePerson: "house",
  changeRates: "house",
  changesOf: "deal",
  changeVehicle: "house",
  completeArrival: "house",
  confirmCodes: "own",
  correctName: "record",
  customersLike: "found",
  dealPeopleOf: "deal",
  dealsAfter: "everyDeal",
  dealsToMake: "everyDeal",
  dropCutOff: "house",
  earningDeals: "everyDeal",
  endCodes: "own",
  endJob: "house",
  enterByDirectory: "own",
  eraseCustomer: "everyDeal",
  failJob: "house",
  findDoings: "everyDeal",
  findLines: "found",
  forgetCosts: "house",
  forgetFiguresOfOthers: "everyDeal",
  getDeal: "deal",
  getDealer: "deal",
  getDealText: "deal",
  getSettings: "house",
  getSettingsDealer: "house",
  getSigning: "deal",
  giveCode: "own",
  givenPaper: "deal",
  givenPapers: "deal",
  hasDeals: "house",
  hasPeople: "house",
  holdJob: "house",
  incomeToMake: "everyDeal",
  insertDeals: "newDeal",
  insertPart: "newDeal",
  isDealSeen: "own",
  isIncomeMissing: "everyDeal",
  isRecordSeen: "own",
  isToBeDone: "house",
  keepBlob: "house",
  keepDealPeople: "deal",
  keepFigures: "everyDeal",
  keepGivenPaper: "house",
  keepIncome: "everyDeal",
  keepLateSigning: "everyDeal",
  keepRelease: "deal",
  keepSettings: "house",
  keepSettingsDealer: "house",
  keptDealers: "everyDeal",
  keptRates: "house",
  listBranches: "house",
  listPeople: "house",
  lockScreen: "own",
  makeFirst: "own",
  makeLink: "house",
  makeOne: "record",
  noteDoing: "house",
  ownersOf: "house",
  personOf: "house",
  personOfLink: "own",
  putInStock: "house",
  ratesMark: "house",
  recordOf: "record",
  releasesOf: "deal",
  removeOldDeals: "everyDeal",
  removeOldDoings: "everyDeal",
  removeOldPapers: "everyDeal",
  setDeleted: "deal",
  showArrived: "house",
  signedWithoutQuotes: "everyDeal",
  signIn: "own",
  signOut: "own",
  signOutEverywhere: "house",
  startArrival: "house",
  stateAfter: "deal",
  stillHere: "own",
  stockArrives: "house",
  stockCosts: "house",
  stockList: "house",
  stockMark: "house",
  stockNumbersOf: "house",
  stockOf: "house",
  takeJob: "house",
  takeOutOfStock: "house",
  tellArrival: "house",
  unlockScreen: "own",
  updateDeal: "deal",
  updateDealer: "deal",
  takeLink: "own",
  vehicleKnown: "house",
  vehiclesLike: "found",
  versionOf: "deal",
  whoIs: "own",
};

/** The store as somebody may use it: what they do not see is to them as if it were not there. */
export async function storeOf(asker: Asker): Promise<Store> {
  const store = asker.by ? await serverStoreAs(asker.by) : await serverStore();
  const seen = seenBy(asker);
  if (!seen) return store;
  const isDealSeen = (id: unknown) => typeof id === "string" && store.isDealSeen(id, seen);
  const guards: Record<Of, (name: keyof Store, args: unknown[]) => Promise<unknown[]>> = {
    house: async (_, args) => args,
    own: async (_, args) => args,
    newDeal: async (_, args) => args,
    everyDeal: async name => {
      throw new Refusal(403, `That is for whoever sees all deals of the house (${name}).`);
    },
    deal: async (_, args) => {
      if (!(await isDealSeen(args[0]))) throw new Refusal(404, "There is no deal at this address.");
      return args;
    },
    found: async (name, args) =>
      name === "findLines" ? [{ ...(args[0] as object), seenBy: seen }] : [args[0], seen],
    record: async (name, args) => {
      const [member, ...ids] = args as Parameters<Store["makeOne"]>;
      for (const id of name === "makeOne" ? ids : ids.slice(0, 1))
        if (!(await store.isRecordSeen(member, id, seen)))
          throw new Refusal(404, `There is no such ${member}.`);
      return args;
    },
  };
  return new Proxy(store, {
    get: (_, name) =>
      name === "then"
        ? undefined
        : async (...args: unknown[]) => {
            const work = name as keyof Store;
            const of = WHAT_IT_IS_OF[work];
            if (!of) throw new Error(`Nobody may ask for ${work}.`);
            return (store[work] as (...args: unknown[]) => unknown)(...(await guards[of](work, args)));
          },
  });
}
