import { MOST_PAYMENTS, parseIsoDate } from "@/core";
import type { PaperDetails } from "@/exchange/papers/paper-details";
import { ENCLOSED, type PaperName } from "@/exchange/papers/paper-kinds";
import { Refusal } from "../refusal";

const MOST_RATES = 60;
const MOST_TERMS = 12;
const HIGHEST_RATE = 100;

/** What an address asks of a paper; a commission is looked up by whoever may. */
export type DetailsAsked = Omit<PaperDetails, "commission"> & { isCommissionAsked?: boolean };

/** Reads from an address what else is asked of a paper; what is not said is left out. */
export function readDetails(searchParams: URLSearchParams): DetailsAsked {
  const said = <Value>(name: string, read: (text: string) => Value | undefined, sentence: string) => {
    const text = searchParams.get(name);
    if (text === null) return undefined;
    const value = read(text);
    if (value === undefined) throw new Refusal(400, sentence);
    return value;
  };
  const date = (name: string) =>
    said(name, parseIsoDate, `The address can name ${name} as a day, such as ${name}=2026-11-30.`);
  const on = date("on");
  const after = said(
    "after",
    readCount,
    "The address can name the payment after which it is, such as after=12.",
  );
  const through = date("through");
  const isTried = said(
    "tried",
    text => (text === "1" ? true : undefined),
    "The address can ask for what is tried by tried=1.",
  );
  const isCommissionAsked = said(
    "commission",
    text => (text === "1" ? true : undefined),
    "The address can ask for the amount of the commission by commission=1.",
  );
  const rates = said("rates", readRates, `The address can name 1 to ${MOST_RATES} rates from 0 to 100.`);
  const terms = said("terms", readTerms, `The address can name 1 to ${MOST_TERMS} numbers of payments.`);
  const enclosed = said(
    "enclosed",
    readEnclosed,
    "The address can name papers for customers that are enclosed.",
  );
  return {
    ...(on !== undefined && { payoff: { date: on } }),
    ...(after !== undefined && { payoff: { after } }),
    ...(through !== undefined && { through }),
    ...(isTried && { isTried }),
    ...(isCommissionAsked && { isCommissionAsked }),
    ...(rates && { rates }),
    ...(terms && { terms }),
    ...(enclosed && { enclosed }),
  };
}

const readCount = (text: string): number | undefined =>
  /^\d{1,4}$/.test(text) && Number(text) <= MOST_PAYMENTS ? Number(text) : undefined;

function readRates(text: string): string[] | undefined {
  const rates = text.split(",");
  const isRate = (rate: string) => /^\d{1,3}(\.\d{1,8})?$/.test(rate) && Number(rate) <= HIGHEST_RATE;
  return rates.length <= MOST_RATES && rates.every(isRate) ? rates : undefined;
}

function readTerms(text: string): number[] | undefined {
  const terms = text.split(",").map(readCount);
  const there = terms.flatMap(term => (term === undefined || term < 1 ? [] : [term]));
  return terms.length <= MOST_TERMS && there.length === terms.length ? there : undefined;
}

function readEnclosed(text: string): PaperName[] | undefined {
  const names = text.split(",").filter(Boolean);
  const there = ENCLOSED.filter(name => names.includes(name));
  return there.length === names.length ? there : undefined;
}
