import { periodsPerYear, type Quote, type RepaidEarly, yearGroups } from "@/core";
import { fileKindOf } from "../kinds";
import type { SentenceWriter } from "../kinds/kind/segment";
import { sentenceWriter } from "../kinds/kind/sentence-writer";
import type { TableRows } from "../kinds/kind/table-rows";
import { amountIn, dateIn, inNotation } from "../notation";
import type { Paper, PaperRow } from "../paper-parts/paper";
import { type About, type AnsweredOption, paperOf } from "./about";
import { papersOf } from "./kinds";

/** Extra payments that are tried: what they are in words, and what they make of the loan. */
export type TriedTable = { words: string; repaid: RepaidEarly };

/** A loan's answer with the table that extra payments make of it. */
const withTried = (quote: Quote, { repaid }: TriedTable): Quote =>
  quote.kind === "lease"
    ? quote
    : { ...quote, schedule: [...repaid.schedule], totalInterest: repaid.interest };

function triedText({ endDate, interestSaved, paymentsSaved, earlyFee }: RepaidEarly, write: SentenceWriter) {
  const { money, date } = write;
  const end = endDate === null ? "" : ` The loan then ends on ${date(endDate)}.`;
  const charge = earlyFee > 0 ? ` They are charged ${money(earlyFee)}.` : "";
  return `They save ${money(interestSaved)} of interest and ${paymentsSaved} ${paymentsSaved === 1 ? "payment" : "payments"} if they are made as they stand here.${end}${charge}`;
}

type Row = TableRows["rows"][number];

/**
 * The repayment table: every payment, with the sums of its years and of all, down to what is left.
 *
 * @param option whose table it is
 * @param about whose paper it is, and for whom
 * @param tried extra payments beside the plan, in words, and what they make of it
 */
export function repaymentTable({ quote }: AnsweredOption, about: About, tried?: TriedTable): Paper {
  const { headings, rows } = fileKindOf(quote.filled).rows(tried ? withTried(quote, tried) : quote);
  const { notation } = about;
  const { currency } = quote.deal;
  const money = (minor: number) => amountIn(minor, currency, notation);
  const hasCharges = rows.some(({ charge }) => charge !== undefined);
  const figures = ({ amounts, charge }: Pick<Row, "amounts" | "charge">) => [
    ...amounts.map(money),
    ...(hasCharges ? [money(charge ?? 0)] : []),
  ];
  const dated = (date: number | null) => (date === null ? "" : dateIn(date, notation));
  const payments = rows.slice(1, -1);
  const lines = payments.map(({ number, date }) => ({ number: Number(number), date }));
  const hasDates = lines.every(({ date }) => date !== null);
  const perYear = periodsPerYear(quote.filled.plan.frequency);
  const years = yearGroups(lines, hasDates ? "calendar" : { perYear }).flatMap(
    ({ year, from, to }): PaperRow[] => [
      ...payments.slice(from, to).map(
        (row): PaperRow => ({
          kind: "line",
          cells: [
            `${row.number}${row.kind === "payment" ? "" : ` ${row.kind}`}`,
            dated(row.date),
            ...figures(row),
          ],
        }),
      ),
      {
        kind: "group",
        cells: [hasDates ? `${year}` : `Year ${year}`, "", ...figures(sumOf(payments.slice(from, to)))],
      },
    ],
  );
  const [start, total] = [rows[0], rows.at(-1)];
  const write = sentenceWriter(currency, notation);
  return paperOf(tried ? "Repayment table with extra payments" : "Repayment table", about, [
    ...(tried
      ? ([
          {
            kind: "paragraph",
            size: "large",
            spans: [
              { strong: "Not agreed." },
              inNotation(` Tried beside the plan: ${tried.words}.`, notation),
            ],
          },
          { kind: "paragraph", spans: [triedText(tried.repaid, write)] },
        ] as const)
      : []),
    { kind: "paragraph", spans: [papersOf(quote).line(quote, write)], ...(!tried && { size: "large" }) },
    {
      kind: "table",
      name: "Repayment",
      headings: ["No.", "Due", ...headings, ...(hasCharges ? ["Charges"] : [])],
      words: 2,
      rows: [
        ...(start
          ? [
              {
                kind: "line",
                cells: [
                  "start",
                  dated(start.date),
                  ...headings.slice(1).map(() => ""),
                  money(start.amounts.at(-1) ?? 0),
                ],
              } as const,
            ]
          : []),
        ...years,
        ...(total ? [{ kind: "total", cells: ["Total", "", ...figures(total)] } as const] : []),
      ],
    },
    { kind: "paragraph", spans: [papersOf(quote).assumptions(quote).join(" ")], size: "small" },
  ]);
}

/** What lines come to: the last column is what is left after them. */
function sumOf(rows: readonly Row[]): Pick<Row, "amounts" | "charge"> {
  const last = rows.at(-1);
  const columns = last?.amounts.length ?? 0;
  const amounts = Array.from({ length: columns }, (_, column) =>
    column === columns - 1
      ? (last?.amounts[column] ?? 0)
      : rows.reduce((sum, row) => sum + (row.amounts[column] ?? 0), 0),
  );
  return { amounts, charge: rows.reduce((sum, { charge }) => sum + (charge ?? 0), 0) };
}
