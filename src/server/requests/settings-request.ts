import { summarize } from "@/core";
import { type Checked, checked } from "@/exchange/checks";
import { type LoanFile, readLoan } from "@/exchange/kinds/loan";
import {
  newDealInputs,
  type Settings,
  settingsUpToDate,
  usualLine,
  withTaxProfile,
} from "@/exchange/settings";
import { settingsDealerRequest, settingsRequest } from "./compiled";
import type { SettingsDealerRequest, SettingsRequest } from "./requests.schema";

/** Any day: nothing of the settings hangs on one. */
const SOME_DAY = "2026-11-24";
/** Far above any usual fee. */
const SOME_PRICE = "1000000";

/** The form of settings, and whether a deal can be made with each part of them. */
export function checkSettingsRequest(value: unknown): Checked<SettingsRequest> {
  const { settings, ...rest } = (value ?? {}) as Record<string, unknown>;
  const current = settingsUpToDate(settings);
  const request = checked<SettingsRequest>(
    settingsRequest,
    settings === undefined ? value : { ...rest, settings: current.settings },
  );
  if (!request.ok) return request;
  for (const inputs of dealsWith(request.value.settings)) {
    const deal = readLoan(inputs);
    const answer = deal.ok ? summarize(deal.value) : deal;
    if (!answer.ok) return { ok: false, sentence: answer.failure.sentence };
  }
  if (!current.dealer) return request;
  const dealer = checked<SettingsDealerRequest>(settingsDealerRequest, {
    version: 0,
    dealer: current.dealer,
  });
  return dealer.ok ? { ok: true, value: { ...request.value, dealer: dealer.value.dealer } } : dealer;
}

/** The same for what of them customers never see. */
export const checkSettingsDealerRequest = (value: unknown): Checked<SettingsDealerRequest> =>
  checked<SettingsDealerRequest>(settingsDealerRequest, value);

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
