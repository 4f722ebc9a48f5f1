import type { LoanQuote, Quote, RepaidEarly } from "@/core";
import { extrasOneByOne } from "@/core";
import type { Kept } from "@/core/horizon";
import type { ChartLine } from "../charts/repayment-chart";
import type { ExtraFile } from "../extra-payments/extra.schema";
import { extraWords } from "../extra-payments/extra-words";
import type { DealForCustomers } from "../for-customers";
import type { KeepForFile } from "../keep-for/keep-for.schema";
import { unitName } from "../keep-for/tie-words";
import { wayName } from "../keep-for/way-names";
import type { CustomerFacts } from "../kinds/kind/paper-kind";
import { sentenceWriter } from "../kinds/kind/sentence-writer";
import { inNotation, type Locale, longDateIn, type Notation } from "../notation";
import type { Span } from "../paper-parts/paper";
import { spansOf } from "../papers/about";
import { papersOf } from "../papers/kinds";
import { capital, fileWriter } from "../text";
import type { PartShown } from "./parts";

/** What a customer is shown: words and figures that are ready to be drawn, and nothing else. */
export type CustomerContent = {
  house: string;
  customer: string;
  vehicle: string;
  date: string;
  currency: string;
  locale: Locale;
  sentence?: readonly Span[];
  cards?: readonly ({ name: string; isOpen: boolean } & CustomerFacts)[];
  owed?: { name: string; start: number; lines: readonly ChartLine[] };
  kept?: {
    says: readonly Span[];
    ways: readonly { name: string; net: string; aMonth: string; isLeast: boolean }[];
  };
  extras?: { withAll: string; each: readonly { name: string; price: string; aPayment: string }[] };
  early?: { tried: readonly string[]; says: readonly Span[] };
};

/** What the screen is made of: what customers may see of the deal, and the answers to its options. */
type CustomerAsked = {
  seen: DealForCustomers;
  /** By their ids what the options that have an answer are called, and their answers; in order. */
  options: readonly { id: string; name: string; quote: Quote }[];
  /** The option that is looked at. */
  open: string;
  parts: ReadonlySet<PartShown>;
  house: string;
  today: number;
  notation: Notation;
  /** What keeping the vehicle comes to and what is assumed of that, with the names of all options and the numbers of those that are left out. */
  kept?: { kept: Kept; file: KeepForFile; names: readonly string[]; hidden: ReadonlySet<number> } | undefined;
  /** What is tried on the option that is looked at. */
  early?: { tried: ExtraFile; repaid: RepaidEarly } | undefined;
};

/**
 * What stands on the customer's screen.
 *
 * @param asked nothing that a customer may not see is among it
 */
export function customerContent(asked: CustomerAsked): CustomerContent {
  const { seen, options, open, parts, house, today, notation } = asked;
  const own = options.find(({ id }) => id === open) ?? options[0];
  const currency = seen.options[0]?.inputs.currency ?? "USD";
  const write = sentenceWriter(currency, notation);
  const content: CustomerContent = {
    house,
    customer: seen.customer?.name ?? "",
    vehicle: seen.vehicle?.name ?? "",
    date: longDateIn(today, notation),
    currency,
    locale: notation.locale,
  };
  if (parts.has("options"))
    content.cards = options.map(({ id, name, quote }) => ({
      name,
      isOpen: id === own?.id,
      ...papersOf(quote).facts(quote, write),
    }));
  if (parts.has("kept") && asked.kept) content.kept = keptOf(asked.kept, write);
  if (!own) return content;
  const { quote } = own;
  if (parts.has("sentence")) content.sentence = spansOf(papersOf(quote).sentence(quote, write));
  if (parts.has("owed")) {
    const { lines, start, name } = papersOf(quote).chart(quote);
    content.owed = { name: capital(name), start, lines };
  }
  if (parts.has("extras")) Object.assign(content, extrasOf(quote, write));
  if (parts.has("early") && asked.early)
    content.early = earlyOf(asked.early, quote as LoanQuote, write, notation);
  return content;
}

type Write = ReturnType<typeof sentenceWriter>;

function keptOf(
  { kept, file, names, hidden }: NonNullable<CustomerAsked["kept"]>,
  { money, say }: Write,
): NonNullable<CustomerContent["kept"]> {
  const { months, distance, unit, todaysMoney } = file;
  const ways = kept.ways.filter(({ option }) => option === null || !hidden.has(option));
  const least = Math.min(...ways.map(({ net }) => net));
  return {
    says: [
      "Kept for ",
      { strong: `${months} months` },
      " and driven ",
      { strong: say(`${distance.toLocaleString("en-US")} ${unitName(unit)}`) },
      " a year, it will be worth ",
      { strong: money(kept.value) },
      `. What it costs you to finance and use it${todaysMoney ? ", in today’s money" : ""}, without insurance, fuel and repairs:`,
    ],
    ways: ways.map(way => ({
      name: wayName(way, names),
      net: money(way.net),
      aMonth: money(way.aMonth),
      isLeast: way.net === least,
    })),
  };
}

function extrasOf(quote: Quote, { money }: Write): Pick<CustomerContent, "extras"> {
  if ((quote.filled.structure.extras ?? []).length === 0) return {};
  const one = extrasOneByOne(quote);
  if (!one.ok) return {};
  const { each, withAll } = one.value;
  return {
    extras: {
      withAll: money(withAll),
      each: each.map(({ name, price, without }) => ({
        name,
        price: money(price),
        aPayment: without === null ? "–" : money(withAll - without),
      })),
    },
  };
}

function earlyOf(
  { tried, repaid }: NonNullable<CustomerAsked["early"]>,
  quote: LoanQuote,
  { money, date }: Write,
  notation: Notation,
): NonNullable<CustomerContent["early"]> {
  const { interestSaved, endDate, paymentsSaved } = repaid;
  const writer = fileWriter(quote.deal.currency);
  return {
    tried: extraWords(tried, writer).map(words => inNotation(words, notation)),
    says: [
      "You save ",
      { strong: money(interestSaved) },
      " of interest",
      ...(paymentsSaved > 0 && endDate !== null
        ? [" and are done ", { strong: date(endDate) }, `, ${paymentsSaved} payments sooner`]
        : []),
      ". Tried, and not agreed.",
    ],
  };
}
