import type { DayNumber, Result } from "@/core";
import type { Moved } from "@/core/programs";
import type { Locale } from "@/exchange/notation";
import type { ProgramsAsked, ProgramsTold } from "@/exchange/rates/programs-on-deal";
import type { Lender } from "@/exchange/rates/rates.schema";
import type { RatesChanges } from "@/exchange/rates/rates-changes";
import type { ProgramNamed, Taken } from "@/exchange/rates/take-program";
import type { TakenNow } from "@/exchange/rates/taken-now";
import type { NeedsRelease, ReleaseAsked } from "@/exchange/releases";

/** Rates that the thread has from an earlier question, by their mark; sent along where it has others. */
type OfRates = { mark: string; lenders?: Lender[] };

/** What is asked of the thread that holds programs against deals. */
export type ProgramsQuestion =
  | { ask: "release"; asked: ReleaseAsked }
  | { ask: "read"; text: string; name: string; locale: Locale; today: DayNumber; present: Lender[] }
  | (OfRates & { ask: "onDeal"; asked: ProgramsAsked })
  | (OfRates & { ask: "take"; asked: ProgramsAsked; named: ProgramNamed; moved: Moved | null });

/** A file of rates as it was read, and what it would change. */
export type ReadFile =
  | { ok: true; lenders: Lender[]; changes: RatesChanges }
  | { ok: false; sentences: string[] };

/** What it answers; `"rates"` where it does not have the rates of the mark. */
export type ProgramsAnswer = {
  read: ReadFile;
  release: NeedsRelease[];
  onDeal: { told: Result<ProgramsTold>; taken: TakenNow | null };
  take: Result<Taken>;
};
