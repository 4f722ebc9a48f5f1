import type { DealFile } from "@/exchange/deal-file";
import type { LoanFile } from "@/exchange/kinds/loan";
import type { Locale } from "@/exchange/notation";
import { openDesk as openDeskWith } from "@/features/deal/desk/desk-state";
import { LEASE } from "@/features/deal/kinds/lease/lease";
import { PLAIN_LOAN } from "@/features/deal/kinds/loan/plain-loan";
import { wholeLoan } from "@/features/deal/kinds/loan/whole-loan";
import { type LoanState, type OptionState, openOption as openWith } from "@/features/deal/option";

/** Every kind, as it is once all of it has arrived. */
export const KINDS = { loan: wholeLoan(PLAIN_LOAN), lease: LEASE };

/** An option as it opens where every kind has arrived. */
export function openOption(inputs: LoanFile, locale?: Locale): LoanState;
export function openOption(inputs: DealFile, locale?: Locale): OptionState;
export function openOption(inputs: DealFile, locale?: Locale): OptionState {
  return openWith(inputs, KINDS, locale);
}

/** The same of a desk. */
export const openDesk = (document: Parameters<typeof openDeskWith>[0], locale?: Locale) =>
  openDeskWith(document, KINDS, locale);
