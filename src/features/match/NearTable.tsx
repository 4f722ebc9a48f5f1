import type { Quote } from "@/core";
import { type Matched, type MatchWay, STATED_AMOUNTS, type Stated } from "@/core/match";
import { offText, percentOffText } from "@/exchange/match/compared-rows";
import type { WordsOf } from "@/exchange/match/departure-words";
import { wayWords } from "@/exchange/match/match-words";
import { statedName } from "@/exchange/match/stated-words";
import { amountIn, decimalIn, inNotation, type Notation } from "@/exchange/notation";
import { capital } from "@/exchange/text";

type Props = { matched: Matched; stated: Stated; quote: Quote; of: WordsOf; notation: Notation };

type Shown = { name: string; text: string; off: string };

/** The nearest ways that do not give every figure, and what of each is off. */
export function NearTable({ matched, stated, quote, of, notation }: Props) {
  const columns = columnsOf(stated, quote.kind === "lease");
  if (matched.nearest.length === 0) return null;
  return (
    <div className="overflow-x-auto">
      <table className="w-full min-w-[34rem] text-sm">
        <caption className="px-3 py-1.5 text-left font-semibold text-base">What comes near</caption>
        <thead className="bg-base-200">
          <tr>
            <th scope="col" className="px-3 py-1.5 text-left">
              This way instead
            </th>
            {columns.map(({ name }) => (
              <th key={name} scope="col" className="px-3 py-1.5 text-right">
                {name === "APR" ? name : name.toLowerCase()}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {matched.nearest.map(way => {
            const words = wayWords(way, of);
            return (
              <tr key={words} className="border-base-300 border-t align-top">
                <th scope="row" className="px-3 py-1.5 text-left font-normal">
                  {inNotation(capital(words), notation)}
                </th>
                {columns.map(({ name, shown }) => {
                  const { text, off } = shown(way, of.currency, notation);
                  return (
                    <td key={name} className="whitespace-nowrap px-3 py-1.5 text-right">
                      {text}
                      <span className="ml-2 inline-block min-w-14 text-faint text-xs">{off}</span>
                    </td>
                  );
                })}
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

type ColumnOf = {
  name: string;
  shown: (way: MatchWay, currency: string, notation: Notation) => Omit<Shown, "name">;
};

function columnsOf(stated: Stated, isLease: boolean): ColumnOf[] {
  const amounts = (["balance", "payoff"] as const).filter(name => stated[name]);
  const money = [...STATED_AMOUNTS.filter(name => stated[name]), ...amounts];
  const columns = money.map(
    (name): ColumnOf => ({
      name: statedName(name, isLease),
      shown: ({ figures, off }, currency, notation) => {
        const minor = figures[name];
        return {
          text: minor === undefined ? "–" : amountIn(Math.round(minor), currency, notation),
          off: offText(off[name], currency, notation),
        };
      },
    }),
  );
  if (stated.apr) columns.push({ name: statedName("apr", isLease), shown: aprShown });
  if (stated.table) columns.push({ name: "Rows that differ", shown: rowsShown });
  return columns;
}

function aprShown({ figures, off }: MatchWay, _: string, notation: Notation): Omit<Shown, "name"> {
  const text = (percent: number | undefined) =>
    percent === undefined ? "–" : `${decimalIn(percent.toFixed(3), notation)} %`;
  return { text: text(figures.apr), off: percentOffText(off.apr, notation) };
}

function rowsShown({ rowsOff, firstOff }: MatchWay): Omit<Shown, "name"> {
  return { text: String(rowsOff), off: firstOff ? `first: ${firstOff.number}` : "" };
}
