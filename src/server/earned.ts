import { CORE_VERSION } from "@/core";
import type { EarningDeal } from "@/data/deal-income";
import type { Store } from "@/data/store";
import { earnedByPerson, earnedSums, spreadSide } from "@/exchange/income";
import type { EarnedReply, EarningLine } from "./contract";
import { makeIncome } from "./figures/make-income";
import { Refusal } from "./refusal";
import { openSettingsDealer } from "./settings";

const DAY_MS = 24 * 3600 * 1000;

/**
 * What was signed in a month, by the server's own day, and what is agreed today; what of it was sold at a spread of its own,
 * what lenders have still to pay for, and what was charged back in the month.
 *
 * @param asked such as "2026-11"; this month where left out
 * @param now the moment that it is
 * @param withPeople whether people have names, and it is told what is whose
 */
export async function earnedIn(
  store: Store,
  asked: string | null,
  now: Date,
  withPeople = false,
): Promise<EarnedReply> {
  const month = asked ?? monthOf(now);
  if (!/^(19|20|21)\d\d-(0[1-9]|1[0-2])$/.test(month))
    throw new Refusal(422, "A month is written as 2026-11.");
  const [year = 0, inYear = 1] = month.split("-").map(Number);
  const [from, until] = [new Date(year, inYear - 1, 1), new Date(year, inYear, 1)];
  const isMaking = await store.isIncomeMissing(CORE_VERSION);
  if (isMaking) makeIncome(store);
  const [signed, agreed, inTransit, charged, { dealer }] = await Promise.all([
    store.earningDeals({ signed: { from, until } }),
    store.earningDeals("agreed"),
    store.earningDeals("inTransit"),
    store.earningDeals("chargedBack"),
    openSettingsDealer(store),
  ]);
  const sideOf = ({ figures }: EarningDeal) => spreadSide(figures.spread, dealer.usualSpread);
  const odd = [...signed, ...agreed].filter(each => sideOf(each) !== null);
  const above = odd.filter(each => sideOf(each) === "above");
  return {
    month,
    isMaking,
    usualSpread: dealer.usualSpread === undefined ? null : String(dealer.usualSpread),
    signed: { sums: earnedSums(signed.map(({ figures }) => figures)), deals: signed.map(lineOf) },
    agreed: { sums: earnedSums(agreed.map(({ figures }) => figures)), deals: agreed.map(lineOf) },
    ...(withPeople && (await splitByPeople(store, signed))),
    spreads: [...above, ...odd.filter(each => !above.includes(each))].map(lineOf),
    inTransit: inTransit.map(deal => ({
      ...lineOf(deal),
      days: deal.signedAt ? Math.floor((startOf(now) - startOf(deal.signedAt)) / DAY_MS) : 0,
      lender: deal.figures.approval?.lender ?? "",
      amount: deal.figures.approval?.amount ?? null,
      open: deal.figures.approval?.open ?? [],
    })),
    chargedBack: charged.flatMap(deal =>
      deal.figures.chargedBack
        .filter(({ on }) => on.startsWith(month))
        .map(({ on, amount }) => ({ ...lineOf(deal), on, amount })),
    ),
  };
}

/** What of deals is whose. */
async function splitByPeople(
  store: Store,
  deals: readonly EarningDeal[],
): Promise<Pick<EarnedReply, "people">> {
  const owners = await store.ownersOf(deals.map(({ id }) => id));
  const names = new Map((await store.listPeople()).map(({ id, name }) => [id, name]));
  const owned = deals.map(({ id, figures }) => ({
    figures,
    owner: owners.get(id)?.owner ?? null,
    people: owners.get(id)?.people ?? [],
  }));
  return {
    people: earnedByPerson(owned)
      .map(({ who, ...earned }) => ({ name: names.get(who) ?? "", ...earned }))
      .sort((one, other) => one.name.localeCompare(other.name)),
  };
}

const monthOf = (date: Date) => `${date.getFullYear()}-${String(date.getMonth() + 1).padStart(2, "0")}`;

/** When a day of the server's clock began; rounded, for a day can have an hour more or less. */
const startOf = (date: Date) =>
  Math.round(new Date(date.getFullYear(), date.getMonth(), date.getDate(), 12).getTime() / DAY_MS) * DAY_MS;

function lineOf({ id, customer, vehicle, signedAt, figures }: EarningDeal): EarningLine {
  const { currency, front, back, reserve, officerShare, spread, reason } = figures;
  const signedOn =
    signedAt === null ? null : `${monthOf(signedAt)}-${String(signedAt.getDate()).padStart(2, "0")}`;
  return { id, customer, vehicle, signedOn, currency, front, back, reserve, officerShare, spread, reason };
}
