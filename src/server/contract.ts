import type { ArrivalStep } from "@/data/arrivals";
import type { Erased } from "@/data/erase";
import type { ToldChange } from "@/data/history";
import type { CountedRecord } from "@/data/one-record";
import type { GivenPaper } from "@/data/papers";
import type { RegisterSort } from "@/data/register-page";
import type { Release } from "@/data/releases";
import type { KeptVehicle } from "@/data/shown-vehicle";
import type { Signing } from "@/data/signings";
import type { VehicleCosts } from "@/data/stock";
import type { KnownCustomer, StockVehicle } from "@/data/suggestions";
import type { DealDocument, DealStatus } from "@/exchange/deal-document";
import type { DealFile } from "@/exchange/deal-file";
import type { Dealer } from "@/exchange/dealer";
import type { ProgramFile } from "@/exchange/dealer/program.schema";
import type { EarnedFigures, EarnedSums, PersonEarned } from "@/exchange/income";
import type { Locale } from "@/exchange/notation";
import type { RegisterKind } from "@/exchange/option-words";
import type { PaperName } from "@/exchange/papers/paper-kinds";
import type { Person, Right } from "@/exchange/people";
import type { ProgramsTold } from "@/exchange/rates/programs-on-deal";
import type { Lender } from "@/exchange/rates/rates.schema";
import type { RatesChanges } from "@/exchange/rates/rates-changes";
import type { TakenNow } from "@/exchange/rates/taken-now";
import type { NeedsRelease } from "@/exchange/releases";
import type { Settings, SettingsDealer } from "@/exchange/settings";
import type { KeptCopies, KeptCopy } from "./backups/copies";

export type {
  CountedRecord,
  Erased,
  KeptCopies,
  KeptCopy,
  KeptVehicle,
  KnownCustomer,
  RegisterSort,
  StockVehicle,
  VehicleCosts,
};

/** Vehicles in stock. */
export type StockReply = MarkReply & { vehicles: KeptVehicle[] };

/** What each vehicle in stock cost the dealer, and what was invoiced for it, in minor units, by its id. */
export type StockCostsReply = { costs: Record<string, VehicleCosts> };

/** What a deal earns, in minor units; null where a figure is not known. */
export type EarningLine = Pick<
  EarnedFigures,
  "currency" | "front" | "back" | "reserve" | "officerShare" | "spread" | "reason"
> & {
  id: string;
  customer: string;
  vehicle: string;
  /** The server's day; null where it is not signed. */
  signedOn: string | null;
};

type EarnedTogether = { sums: EarnedSums[]; deals: EarningLine[] };

/** What deals earn the house, for whom the dealer's side is open. */
export type EarnedReply = {
  /** Such as "2026-11". */
  month: string;
  /** Whether some figures are still being made. */
  isMaking: boolean;
  usualSpread: string | null;
  signed: EarnedTogether;
  agreed: EarnedTogether;
  /** What of the signed deals is whose, by name; left out where nobody has a name. */
  people?: (Omit<PersonEarned, "who"> & { name: string })[];
  /** Deals whose spread is not the usual one, those above it first. */
  spreads: EarningLine[];
  /** Signed, and not paid for by the lender yet, oldest first. */
  inTransit: (EarningLine & { days: number; lender: string; amount: number | null; open: string[] })[];
  chargedBack: (EarningLine & { on: string; amount: number })[];
};

/** What lenders offer, as every page may see it. */
export type RatesReply = MarkReply & {
  lenders: {
    name: string;
    programs: (Pick<ProgramFile, "name" | "kind" | "currency"> &
      Partial<Pick<ProgramFile, "valid" | "condition">>)[];
  }[];
};

/** All of it, for whom the dealer's side is open. */
export type RatesDealerReply = MarkReply & { lenders: Lender[] };

/** What taking in a file of rates would change. */
export type RatesLookReply = MarkReply & { changes: RatesChanges };

/** Programs on an option: of those that are told which, and how many there are of each. */
export type ProgramsReply = ProgramsTold & {
  /** The points of rate that were added; null where the dealer's side is closed. */
  spread: string | null;
  /** The program that the option was made with, as it is now. */
  taken: TakenNow | null;
};

/** An option made with a program, as it would be typed. */
export type TakenReply = { inputs: DealFile; name: string };

/** What tells one state of the stock, or of the rates, from another. */
export type MarkReply = { mark: string };

/** What can be picked for what was typed so far. */
export type SuggestedNames = { customers: KnownCustomer[] } | { vehicles: StockVehicle[] };

/** A deal as the server gives it. */
export type DealReply = {
  id: string;
  /** Goes up by one at each save; a save names the version that it was made from. */
  version: number;
  /** ISO 8601 instant. */
  changedAt: string;
  deleted: boolean;
  document: DealDocument;
  /** What it was signed with, where it is signed: this is shown, whatever later cores compute. */
  signing?: SigningReply;
};

/** The dealer's part of a deal, as the server gives it to whom it is open. */
export type DealerReply = Pick<DealReply, "id" | "version" | "changedAt" | "deleted"> & { document: Dealer };

/** What a deal was signed with. */
type SigningReply = Omit<Signing, "at"> & { /** ISO 8601 instant. */ at: string };

/** How far a deal is: pages that show it ask, to learn of what others save. */
export type VersionReply = Pick<DealReply, "version" | "deleted">;

/** Of which papers there are none, and why; and the characters of the others that no font has. */
export type PapersReply = { none: Partial<Record<PaperName, string>>; undrawn: string[] };

/** What was changed of a deal, and the papers that were given, the latest first. */
export type HistoryReply = {
  currency: string;
  papers: (Omit<GivenPaper, "at" | "removedAt"> & {
    /** ISO 8601 instants. */
    at: string;
    removedAt: string | null;
  })[];
  changes: (Omit<ToldChange, "at"> & { /** ISO 8601 instant. */ at: string })[];
};

/** A deal as it was after one of its changes. */
export type StateReply = { document: DealDocument };

/** What a save answers: the deal, without its document where the sender has all of it. */
export type SaveReply = Omit<DealReply, "document" | "signing"> & { document?: DealDocument };

/** One line of the register. Money in minor units; null where the deal has no answer. */
export type RegisterRow = {
  id: string;
  /** The deal's version that the line follows from. */
  version: number;
  customer: string;
  vehicle: string;
  status: DealStatus;
  /** ISO 8601 instant. */
  changedAt: string;
  /** Whether its figures are there; they are made after each change. */
  isMade: boolean;
  currency: string;
  payment: number | null;
  /** How often it is paid: "monthly", "two-weekly", "listed". */
  paid: string;
  amountFinanced: number | null;
  /** Why there is no answer. */
  problem: string | null;
  /** What the chosen option is called, of how many. */
  chosenName: string;
  optionCount: number;
  /** Whose it is, by name, and the branch; left out where nobody has a name. */
  owner?: string | null;
  branch?: string | null;
};

/** What of the register is asked for. */
export type RegisterAsked = {
  /** Words that all stand somewhere in a line. */
  search: string;
  /** How far the deals are, and what kind of plan they have; all where it is left out. */
  status?: DealStatus | null;
  planKind?: RegisterKind | null;
  /** The days of their last change, both counted, as ISO 8601; any where they are left out. */
  from?: string | null;
  to?: string | null;
  /** Whether the deleted ones are meant. */
  deleted?: boolean;
  /** Whose they are, by the id, and of which branch; all where they are left out. */
  owner?: string | null;
  branch?: string | null;
  sort: RegisterSort;
  descending: boolean;
  /** From 1. */
  page: number;
};

/** A page of the register. */
export type RegisterPage = {
  rows: RegisterRow[];
  /** Whose deals can be asked for, and of which branches; left out where nobody has a name. */
  owners?: { people: { id: string; name: string }[]; branches: string[] };
  /** How its figures are written. */
  locale: Locale;
  /** How many deals hold what was searched for; where there are more, the most that are counted. */
  found: number;
  isMore: boolean;
  /** From 1. */
  page: number;
  pages: number;
  /** How many deals come before the first of this page. */
  skipped: number;
};

/** How far a file of deals is that is being brought in: all is read, then all is kept, then all is shown. */
export type ArrivingReply = ArrivalStep;

/** What the house has settled. */
export type SettingsReply = {
  settings: Settings;
  /** Goes up by one at each save; 0 where nothing is settled yet. */
  version: number;
  /** ISO 8601 instant; null where nothing is settled yet. */
  changedAt: string | null;
};

/** What of the settings customers never see; version 0 where nothing was ever told. */
export type SettingsDealerReply = { dealer: SettingsDealer; version: number };

/** What a restored backup held, and when it was made. */
export type RestoredReply = { made: string; rows: number; deals: number };

/** How far a sign-in is. */
export type SignInReply = { step: "in" | "code" | "out" | "locked" };

/** Who is signed in, and what they may; null where nobody has a name yet. */
export type MeReply = {
  person: Person | null;
  rights: Right[];
  needsCodes: boolean;
};

/** What one-time codes are set up with; the recovery codes are shown once. */
export type CodesReply = {
  /** For a program on the same device, and as a picture (SVG) for one that has a camera. */
  address: string;
  picture: string;
  secret: string;
  recovery: string[];
};

/** Who works here, and the branches. */
export type ColleaguesReply = { people: Person[]; branches: string[] };

/** Where somebody sets a password, once. */
export type LinkReply = { path: string };

/** What a manager has released of a deal. */
export type ReleaseReply = Pick<Release, "id" | "kind" | "detail" | "dealVersion" | "reason"> & {
  who: string;
  /** ISO 8601 instant. */
  at: string;
};

/** All of that, and what is still to be released before it is signed, or reopened. */
export type ReleasesReply = { releases: ReleaseReply[]; open: NeedsRelease[] };

/** Who did what, the latest first; with what the next page begins after, null after the last. */
export type DoingsReply = {
  doings: {
    id: string;
    /** ISO 8601 instant. */
    at: string;
    who: string | null;
    what: string;
    /** The deal that it was done of, by its id; or the person, by name. */
    deal: string | null;
    person: string | null;
    from: string | null;
  }[];
  next: string | null;
};

/** What has to be done first by whoever asks: sign in, unlock the screen, or set up one-time codes. */
export type SignInNeed = "needed" | "locked" | "codes";

/** What every refused request answers. */
export type RefusalReply = {
  /** One plain sentence. */
  error: string;
  /** With a conflict: the deal as it is saved now, or its dealer's part. */
  current?: DealReply | DealerReply;
  signIn?: SignInNeed;
  /** What a manager has to release first. */
  release?: NeedsRelease[];
};
