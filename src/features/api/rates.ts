import type { Moved, Rank } from "@/core/programs";
import type { DealFile } from "@/exchange/deal-file";
import type {
  MarkReply,
  ProgramsReply,
  RatesDealerReply,
  RatesLookReply,
  RatesReply,
  TakenReply,
} from "@/server/contract";
import { ask, send } from "./client";

/** A file of rates, and how its figures are written. */
export type RatesFile = { name: string; text: string; locale: string };

const addressOf = (path: string, { name, locale }: RatesFile, mark?: string) =>
  `${path}?${new URLSearchParams({ name, locale, ...(mark !== undefined && { mark }) })}`;

const body = ({ text }: RatesFile) => new Blob([text], { type: "text/plain" });

/** What can be asked of lenders' rates. A change names the state in view by its mark. */
export const ratesApi = {
  open: () => ask<RatesReply>("GET", "/api/rates"),
  openDealer: () => ask<RatesDealerReply>("GET", "/api/rates/dealer"),
  mark: () => ask<MarkReply>("GET", "/api/rates/mark"),
  look: (file: RatesFile) =>
    send<RatesLookReply>("POST", addressOf("/api/rates/look", file), body(file), false),
  take: (file: RatesFile, mark: string) =>
    send<MarkReply>("PUT", addressOf("/api/rates", file, mark), body(file)),
  remove: (mark: string, lender: string, program?: string) =>
    ask<MarkReply>("POST", "/api/rates/remove", { mark, lender, ...(program !== undefined && { program }) }),
};

/** An option as it is typed just now. */
type OfAnOption = { option: string; inputs: DealFile; spread?: string | undefined };

/** What can be asked of programs on a deal. */
export const programsApi = {
  of: (dealId: string, asked: OfAnOption & { rank: Rank; side: boolean; from?: number }) =>
    ask<ProgramsReply>("POST", `/api/deals/${dealId}/programs`, asked),
  take: (
    dealId: string,
    asked: OfAnOption & { made: string; lender: string; program: string; moved?: Moved | undefined },
  ) => ask<TakenReply>("POST", `/api/deals/${dealId}/programs/take`, asked),
};
