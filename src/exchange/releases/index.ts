import { costOfCredit, evaluate, type LoanQuote } from "@/core";
import { limitsOfPlace } from "@/core/programs";
import type { DealFile } from "../deal-file";
import type { DealerOfOption } from "../dealer";
import { earnedFigures, spreadSide } from "../income";
import { fileKindOf } from "../kinds";
import type { ReleaseKind } from "../people";
import { beyondInWords } from "../rates/place-words";
import type { Settings, SettingsDealer } from "../settings";
import { placeLimits } from "../settings/limits";

/** What a manager has to say yes to, in words that name the figures: other figures are to be released anew. */
export type NeedsRelease = { kind: ReleaseKind; detail: string };

/** What is held against the house's rules: the option that is signed, with what the dealer alone knows of it. */
export type ReleaseAsked = {
  inputs: DealFile;
  known: DealerOfOption;
  place: string | undefined;
  house: Pick<Settings, "limits" | "place">;
  usualSpread: SettingsDealer["usualSpread"];
};

/** What of an option needs a manager's release before it is signed. */
export function needsRelease(asked: ReleaseAsked): NeedsRelease[] {
  return [...spreadBeyond(asked), ...limitsBroken(asked)];
}

function spreadBeyond({ inputs, known, place, usualSpread }: ReleaseAsked): NeedsRelease[] {
  const { spread } = earnedFigures(inputs, known, place);
  if (spread === null || spreadSide(spread, usualSpread) !== "above") return [];
  return [{ kind: "spread", detail: `spread ${spread} points, beyond the usual ${usualSpread}` }];
}

function limitsBroken({ inputs, place, house }: ReleaseAsked): NeedsRelease[] {
  const { currency } = inputs;
  const limits = placeLimits(house, place, currency);
  const deal = fileKindOf(inputs).read(inputs);
  const quote = deal.ok ? evaluate(deal.value) : deal;
  if (!limits || !quote.ok) return [];
  const isPersonal = quote.value.kind === "loan" && quote.value.filled.structure.personal !== undefined;
  const cost = isPersonal ? costOfCredit(quote.value as LoanQuote) : undefined;
  const beyond = limitsOfPlace(quote.value, limits, cost?.ok ? cost.value.apr : null);
  if (beyond.length === 0) return [];
  return [{ kind: "limit", detail: beyond.map(each => beyondInWords(each, currency)).join("; ") }];
}
