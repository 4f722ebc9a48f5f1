import { sql } from "drizzle-orm";
import {
  arrivalStep,
  cancelArrival,
  completeArrival,
  dropCutOff,
  showArrived,
  startArrival,
  tellArrival,
} from "./arrivals";
import { backupBlob, backupPart, backupStart } from "./backup-rows";
import type { Database } from "./database";
import { earningDeals, incomeToMake, isIncomeMissing, keepIncome } from "./deal-income";
import { dealPeopleOf, isDealSeen, isRecordSeen, keepDealPeople, ownersOf } from "./deal-people";
import { getDealer, keptDealers, updateDealer } from "./dealer";
import { dealsAfter, getDeal, getDealText, hasDeals, setDeleted, updateDeal, versionOf } from "./deals";
import { findDoings, noteDoing, removeOldDoings } from "./doings";
import { eraseCustomer } from "./erase";
import { changesOf, stateAfter } from "./history";
import { addJob, endJob, failJob, holdJob, isToBeDone, takeJob } from "./jobs";
import { insertDeals } from "./new-deals";
import { removeOldDeals } from "./old-deals";
import { correctName, makeOne, recordOf } from "./one-record";
import { beginCodes, changePassword, confirmCodes, endCodes } from "./own-way-in";
import { blobOf, givenPaper, givenPapers, keepBlob, keepGivenPaper, removeOldPapers } from "./papers";
import { addPerson, changePerson, hasPeople, listBranches, listPeople, personOf } from "./people";
import { changeRates, keptRates, ratesMark } from "./rates";
import { dealsToMake, forgetFiguresOfOthers, keepFigures } from "./register-figures";
import { findLines } from "./register-page";
import { keepRelease, releasesOf } from "./releases";
import { lockScreen, stillHere, unlockScreen } from "./screen-lock";
import { getSettings, getSettingsDealer, keepSettings, keepSettingsDealer } from "./settings";
import { giveCode, signIn, signOut, signOutEverywhere, whoIs } from "./sign-in";
import { beginByDirectory, enterByDirectory } from "./sign-in-by-directory";
import { makeFirst, makeLink, personOfLink, takeLink } from "./sign-in-by-link";
import { getSigning, keepLateSigning, signedWithoutQuotes } from "./signings";
import {
  changeVehicle,
  forgetCosts,
  putInStock,
  stockArrives,
  stockCosts,
  stockList,
  stockMark,
  stockOf,
  takeOutOfStock,
  vehicleKnown,
} from "./stock";
import { stockNumbersOf } from "./stock-numbers";
import { customersLike, vehiclesLike } from "./suggestions";

/** What is asked of the database, by name. */
const READS = {
  arrivalStep,
  answers: (database: Database) => database.execute(sql`select 1`).then(() => true),
  backupBlob,
  backupPart,
  backupStart,
  blobOf,
  changesOf,
  customersLike,
  dealPeopleOf,
  dealsAfter,
  dealsToMake,
  earningDeals,
  findDoings,
  findLines,
  getDeal,
  getDealText,
  getDealer,
  getSettings,
  getSettingsDealer,
  getSigning,
  givenPaper,
  givenPapers,
  hasDeals,
  hasPeople,
  incomeToMake,
  /** A kill may undo it: then whoever has it has none. */
  holdJob,
  isDealSeen,
  isIncomeMissing,
  isRecordSeen,
  isToBeDone,
  keptDealers,
  keptRates,
  listBranches,
  listPeople,
  ownersOf,
  personOf,
  personOfLink,
  ratesMark,
  recordOf,
  releasesOf,
  signedWithoutQuotes,
  /** The same. */
  takeJob,
  stateAfter,
  stockCosts,
  stockList,
  stockMark,
  stockNumbersOf,
  stockOf,
  vehicleKnown,
  vehiclesLike,
  versionOf,
  whoIs,
};

/** What changes something, by name: it is done once it is on the disk. */
const SAVES = {
  addJob,
  addPerson,
  beginByDirectory,
  beginCodes,
  cancelArrival,
  changePassword,
  changePerson,
  changeRates,
  changeVehicle,
  completeArrival,
  confirmCodes,
  correctName,
  dropCutOff,
  endCodes,
  endJob,
  enterByDirectory,
  eraseCustomer,
  failJob,
  forgetCosts,
  forgetFiguresOfOthers,
  giveCode,
  insertDeals,
  /** The same for a part of many. */
  insertPart: insertDeals,
  keepBlob,
  keepDealPeople,
  keepFigures,
  keepGivenPaper,
  keepIncome,
  keepLateSigning,
  keepRelease,
  keepSettings,
  keepSettingsDealer,
  lockScreen,
  makeFirst,
  makeLink,
  makeOne,
  noteDoing,
  putInStock,
  removeOldDeals,
  removeOldDoings,
  removeOldPapers,
  setDeleted,
  showArrived,
  signIn,
  signOut,
  signOutEverywhere,
  startArrival,
  stillHere,
  stockArrives,
  tellArrival,
  takeOutOfStock,
  unlockScreen,
  updateDeal,
  updateDealer,
  takeLink,
};

/** All that can be asked of what is kept, by name. */
export const WORK = { ...READS, ...SAVES };

/** Whether a piece of work changes something. */
export const isSave = (name: string): boolean => name in SAVES;

/** Pieces of work as they are asked for: without the database, which whoever answers has. */
export type Asked<Work> = {
  [Name in keyof Work]: Work[Name] extends (database: Database, ...args: infer Args) => infer Answer
    ? (...args: Args) => Answer
    : never;
};

/** What is kept, and all that can be asked of it, wherever the database is. */
export type Store = Asked<typeof WORK>;
