import { CORE_VERSION, FREQUENCY_NAMES, summarize } from "@/core";
import type { Database } from "@/data/database";
import { type DealRecord, getDeals } from "@/data/deals";
import { type KeptFigures, keepFigures, listRegister, type MadeFigures } from "@/data/kept-figures";
import { chosenOption } from "@/exchange/deal-document";
import { type DealFile, readDeal } from "@/exchange/deal-file";
import type { RegisterRow } from "./contract";

/** So many deals are made up to date at a time, so that others are served between. */
const AT_A_TIME = 20;

/** The register: every deal with what follows from it, which is made once for each change of it. */
export async function registerRows(database: Database): Promise<RegisterRow[]> {
  const listed = await listRegister(database);
  const stale = listed.filter(({ figures, figuresBy }) => figures === null || figuresBy !== CORE_VERSION);
  const made = await makeFigures(
    database,
    stale.map(({ id }) => id),
  );
  return listed.flatMap(({ id, customer, vehicle, status, changedAt, figures: kept }) => {
    const shown = made.get(id) ?? kept;
    if (!shown) return [];
    // Named one by one: what comes out of the database has an order of its own.
    const { currency, payment, paid, amountFinanced, problem } = shown;
    const heading = { customer: customer ?? "", vehicle: vehicle ?? "", status };
    const figures = { currency, payment, paid, amountFinanced, problem };
    return [{ id, ...heading, changedAt: changedAt.toISOString(), ...figures }];
  });
}

/** Makes the figures of some deals and keeps them. */
async function makeFigures(database: Database, ids: readonly string[]): Promise<Map<string, KeptFigures>> {
  const all = new Map<string, KeptFigures>();
  for (let from = 0; from < ids.length; from += AT_A_TIME) {
    const records = await getDeals(database, ids.slice(from, from + AT_A_TIME));
    const made = records.map(madeFigures);
    await keepFigures(database, made, CORE_VERSION);
    for (const { dealId, figures } of made) all.set(dealId, figures);
    await new Promise(resolve => setImmediate(resolve));
  }
  return all;
}

function madeFigures({ id, document, optionVersions }: DealRecord): MadeFigures {
  const option = chosenOption(document);
  const optionVersion = optionVersions.get(option.id) ?? 0;
  return { dealId: id, optionId: option.id, optionVersion, figures: figuresOf(option.inputs) };
}

/** What a list shows of an option, as the core answers it. */
export function figuresOf(inputs: DealFile): KeptFigures {
  const { currency, plan } = inputs;
  const paid = plan.datedPayments ? "listed" : FREQUENCY_NAMES[plan.frequency].adjective;
  const deal = readDeal(inputs);
  const quote = deal.ok ? summarize(deal.value) : deal;
  if (!quote.ok) {
    return { currency, payment: null, paid, amountFinanced: null, problem: quote.failure.sentence };
  }
  const { payment, amountFinanced } = quote.value;
  return { currency, payment, paid, amountFinanced, problem: null };
}
