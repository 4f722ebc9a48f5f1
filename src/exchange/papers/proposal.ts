import { isoDate, kindOf } from "@/core";
import { repaymentChart } from "../charts/repayment-chart";
import { sentenceWriter } from "../kinds/kind/sentence-writer";
import { amountIn, dateIn, inNotation } from "../notation";
import type { Block, Paper, PaperChart } from "../paper-parts/paper";
import { capital } from "../text";
import { type About, type AnsweredOption, paperOf, spansOf } from "./about";
import { papersOf } from "./kinds";

/** How many days a proposal is good, where the house has settled nothing else. */
const DAYS_GOOD = 14;

const NO_CONTRACT = "This is an estimate and not a contract. It is subject to credit approval.";
const LEASE_SETS_SIDE_BY_SIDE = "A lease is paid for use: at its end the vehicle is handed back or bought.";

/**
 * What is proposed to a customer, on one page: the deal in a sentence, its options side by side, what is owed over time, how
 * the amount came about, and lines to sign on.
 *
 * @param options the proposed one first, then those beside it
 * @param about whose paper it is, and for whom
 * @param also what else is said: who lends, what the law of the place asks to be told of commission
 */
export function proposal(
  options: readonly [AnsweredOption, ...AnsweredOption[]],
  about: About,
  also: readonly string[] = [],
): Paper {
  const [{ quote }] = options;
  const { notation, vehicle, day, house } = about;
  const { currency } = quote.deal;
  const { daysGood = DAYS_GOOD, officer = "" } = house.settled;
  const kind = papersOf(quote);
  const write = sentenceWriter(currency, notation);
  const money = (minor: number) => amountIn(minor, currency, notation);
  const { lines, name, total } = kind.tally(quote);
  const assumed = [
    ...kind.assumptions(quote),
    ...(options.some(({ quote: each }) => kindOf(each.filled).isHandedBack) && options.length > 1
      ? [LEASE_SETS_SIDE_BY_SIDE]
      : []),
    ...also,
    `Good until ${isoDate(day + daysGood)}.`,
    NO_CONTRACT,
  ];
  const blocks: Block[] = [
    {
      kind: "paragraph",
      size: "large",
      spans: spansOf(kind.sentence(quote, write)),
    },
    ...(options.length > 1 ? inRows(options).map(row => sideBySide(row, about)) : []),
    { kind: "chart", chart: chartOf(options[0], about) },
    {
      kind: "tally",
      lines: lines.map(
        each => [capital(each.name), `${each.sign < 0 ? "− " : ""}${money(each.amount)}`] as const,
      ),
      sum: [name, money(total)],
    },
    { kind: "paragraph", size: "small", spans: [inNotation(assumed.join(" "), notation)] },
    {
      kind: "signatures",
      who: [
        about.customer || "Customer",
        [`For ${house.name || "the house"}`, officer].filter(Boolean).join(", "),
      ],
    },
  ];
  const until = `good until ${dateIn(day + daysGood, notation)}`;
  // The vehicle is what it is called by.
  const paper = paperOf("Proposal", { ...about, vehicle: "" }, blocks);
  return { ...paper, title: vehicle || "Proposal", about: `${paper.about} · ${until}` };
}

/** No more stand side by side: their figures are to be read. */
const MOST_SIDE_BY_SIDE = 4;

const inRows = (options: readonly AnsweredOption[]): AnsweredOption[][] =>
  Array.from({ length: Math.ceil(options.length / MOST_SIDE_BY_SIDE) }, (_, row) =>
    options.slice(row * MOST_SIDE_BY_SIDE, (row + 1) * MOST_SIDE_BY_SIDE),
  );

/** Each figure of every option; what a kind does not have is left open. */
function sideBySide(options: readonly AnsweredOption[], { notation }: About): Block {
  const columns = options.map(({ quote }) =>
    papersOf(quote).compared(quote, sentenceWriter(quote.deal.currency, notation)),
  );
  const names = [...new Set(columns.flatMap(column => column.map(([name]) => name)))];
  const last = "At the end";
  const inOrder = [...names.filter(name => name !== last), ...names.filter(name => name === last)];
  return {
    kind: "table",
    name: "Options side by side",
    headings: ["", ...options.map(({ name }) => name)],
    words: 1,
    rows: inOrder.map(name => ({
      kind: "line",
      cells: [name, ...columns.map(column => column.find(([each]) => each === name)?.[1] ?? "–")],
    })),
  };
}

const WIDTH = 500;
const HEIGHT = 132;
/** The chart's own bars are left out: a page is read, not pointed at. */
const MARGIN = { top: 6, right: 8, bottom: -44, left: 52 };

function chartOf({ quote }: AnsweredOption, { notation }: About): PaperChart {
  const { lines, start, name } = papersOf(quote).chart(quote);
  const { currency } = quote.deal;
  const money = (minor: number) => amountIn(minor, currency, notation);
  const chart = repaymentChart(lines, lines, start, { width: WIDTH, height: HEIGHT, margin: MARGIN });
  return {
    label: `${capital(name)} over time, from ${money(start)} to ${money(lines.at(-1)?.balance ?? 0)}.`,
    width: WIDTH,
    height: chart.zero + 18,
    ground: chart.ground,
    edge: chart.owed,
    amounts: chart.amounts.map(({ minor, y }) => ({ text: money(minor).replace(/[.,]0+$/, ""), y })),
    years: chart.years,
    left: MARGIN.left,
    right: WIDTH - MARGIN.right,
    zero: chart.zero,
  };
}
