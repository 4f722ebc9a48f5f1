import { summarize } from "@/core";
import { type Checked, checked } from "@/exchange/checks";
import { type LoanFile, readLoan } from "@/exchange/kinds/loan";
import { newDealInputs, type Settings, usualLine, withTaxProfile } from "@/exchange/settings";
import { settingsRequest } from "./compiled";
import type { SettingsRequest } from "./requests.schema";

/** Any day: nothing of the settings hangs on one. */
const SOME_DAY = "2026-11-24";
/** Far above any usual fee. */
const SOME_PRICE = "1000000";

/** The form of settings, and whether a deal can be made with each part of them. */
export function checkSettingsRequest(value: unknown): Checked<SettingsRequest> {
  const request = checked<SettingsRequest>(settingsRequest, value);
  if (!request.ok) return request;
  for (const inputs of dealsWith(request.value.settings)) {
    const deal = readLoan(inputs);
    const answer = deal.ok ? summarize(deal.value) : deal;
    if (!answer.ok) return { ok: false, sentence: answer.failure.sentence };
  }
  return request;
}

/** A deal with every usual fee and extra, then one with each tax profile. */
function dealsWith(settings: Settings): LoanFile[] {
  const { fees, extras, taxProfiles = [], ...rest } = settings;
  const plain = newDealInputs(rest, SOME_DAY);
  const structure = {
    ...(fees && { fees: fees.map(usualLine) }),
    ...(extras && { extras: extras.map(usualLine) }),
  };
  return [structure, ...taxProfiles.map(profile => withTaxProfile({}, profile))].map(each => ({
    ...plain,
    structure: { ...each, price: SOME_PRICE },
    plan: { yearlyRate: "0", payments: 12, ...plain.plan },
  }));
}
