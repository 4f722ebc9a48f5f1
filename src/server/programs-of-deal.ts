import type { Store } from "@/data/store";
import { type DealerOfOption, ofACopy } from "@/exchange/dealer";
import { forEveryone, type ProgramsAsked } from "@/exchange/rates/programs-on-deal";
import { DEFAULT_SETTINGS } from "@/exchange/settings";
import { houseTerms } from "@/exchange/settings/house-terms";
import { askOfRates } from "./ask-programs";
import type { ProgramsReply, TakenReply } from "./contract";
import { Refusal } from "./refusal";
import type { ProgramsRequest, TakeProgramRequest } from "./requests";
import { openSettingsDealer } from "./settings";
import { dayOf } from "./today";

/** So many are told at once. */
const IN_VIEW = 50;

/** Which programs fit an option of a deal, why the others do not, and what would make them. */
export async function programsOfDeal(
  store: Store,
  id: string,
  request: ProgramsRequest,
  now: Date,
): Promise<ProgramsReply> {
  const { side, rank = "payment", from = 0 } = request;
  const asked = await askedOf(store, id, request, now);
  const answer = await askOfRates<"onDeal">(store, {
    ask: "onDeal",
    asked: { ...asked, rank: side ? rank : rank === "income" ? "payment" : rank, from, most: IN_VIEW },
  });
  if (!answer.told.ok) throw new Refusal(422, answer.told.failure.sentence);
  const { told, taken } = answer;
  return {
    ...told.value,
    rows: side ? told.value.rows : told.value.rows.map(forEveryone),
    spread: side ? asked.spread : null,
    taken: taken && !side ? { ...taken, what: [], broken: [] } : taken,
  };
}

/** Makes an option with a program: what of it is the dealer's is kept here, and never sent. */
export async function takeProgramForDeal(
  store: Store,
  id: string,
  request: TakeProgramRequest,
  now: Date,
): Promise<TakenReply> {
  const { lender, program, moved = null, option, made } = request;
  const asked = await askedOf(store, id, request, now);
  const taken = await askOfRates<"take">(store, { ask: "take", asked, named: { lender, program }, moved });
  if (!taken.ok) throw new Refusal(422, taken.failure.sentence);
  const { inputs, dealer } = taken.value;
  await keepTaken(store, id, { from: option, to: made }, dealer);
  return { inputs, name: `${lender} · ${program}` };
}

/** Puts what the dealer knows of the option that it was made of to the new one, with what is the program's. */
async function keepTaken(
  store: Store,
  id: string,
  { from, to }: { from: string; to: string },
  dealer: Partial<DealerOfOption>,
): Promise<void> {
  const kept = await store.getDealer(id);
  if (!kept) throw new Refusal(404, "There is no deal at this address.");
  const before = kept.dealer.options?.[from] ?? {};
  // The fee and the reason are of the rate that it had.
  const { lenderFee: _fee, spreadReason: _reason, ...known } = from === to ? before : ofACopy(before);
  const options = { ...kept.dealer.options, [to]: { ...known, ...dealer } };
  const saved = await store.updateDealer(id, kept.version, { ...kept.dealer, options });
  // Where somebody else was quicker, it is put to what they have saved.
  if (!saved) await keepTaken(store, id, { from, to }, dealer);
}

/** What programs are held against: the option as it is typed, and what is kept of its deal, its vehicle and the house. */
async function askedOf(
  store: Store,
  id: string,
  { option, inputs, spread }: Pick<ProgramsRequest, "option" | "inputs" | "spread">,
  now: Date,
): Promise<ProgramsAsked> {
  const [deal, kept, house, ofDealer] = await Promise.all([
    store.getDeal(id),
    store.getDealer(id),
    store.getSettings(),
    openSettingsDealer(store),
  ]);
  if (!deal || !kept) throw new Refusal(404, "There is no deal at this address.");
  if (deal.deleted) throw new Refusal(410, "This deal was deleted.");
  const { vehicle, place } = deal.document;
  const { options = {}, applicant } = kept.dealer;
  const settings = house?.settings ?? DEFAULT_SETTINGS;
  const { frequency } = inputs.plan;
  return {
    inputs,
    known: { vehicle: vehicle && (await store.vehicleKnown(vehicle.id)), applicant, today: dayOf(now) },
    dealer: options[option] ?? {},
    place,
    spread: String(spread ?? ofDealer.dealer.usualSpread ?? "0"),
    rank: "payment",
    usualTerms: houseTerms(settings, frequency).map(({ payments }) => payments),
    from: 0,
    most: 0,
  };
}
