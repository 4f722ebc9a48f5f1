import { useState } from "react";
import { currencyDecimals, type Result, type WorkingStep } from "@/core";
import { type KeptWay, keptWorking } from "@/core/horizon";
import { FLOW_WORDS, wayName } from "@/exchange/keep-for/way-names";
import { amountIn, dateIn, decimalIn } from "@/exchange/notation";
import { WorkingSteps } from "@/features/figures/WorkingSteps";
import { useNotation } from "../option/option-context";
import { evaluatedAgain } from "./evaluated-again";
import type { Horizon } from "./use-horizon";
import { wayStyle } from "./way-style";

type Props = {
  horizon: Horizon;
  told: NonNullable<Horizon["told"]>;
  names: readonly string[];
  /** Which option the others are set against; null for cash. */
  against: number | null;
  onAgainst: (option: number | null) => void;
};

/** What each way to pay comes to on the day, the cheapest marked. */
export function WayCards({ horizon, told, names, against, onAgainst }: Props) {
  const { ways, least } = told.kept;
  const [open, setOpen] = useState<string | null>(null);
  const shown = ways.find(way => keyOf(way) === open);
  return (
    <div className={horizon.isOld ? "stale" : ""}>
      <h2 className="sr-only">Ways to pay</h2>
      <ul className="grid grid-cols-[repeat(auto-fit,minmax(12.5rem,1fr))] gap-3 px-4 py-1">
        {ways.map((way, index) => (
          <li key={keyOf(way)}>
            <WayCard
              way={way}
              horizon={horizon}
              name={wayName(way, names)}
              isLeast={index === least}
              isOpen={way === shown}
              isAgainst={way.option === against}
              onAgainst={() => onAgainst(way.option)}
              onOpen={() => setOpen(way === shown ? null : keyOf(way))}
            />
          </li>
        ))}
      </ul>
      {shown && (
        <WayDetails way={shown} told={told} name={wayName(shown, names)} currency={horizon.currency} />
      )}
    </div>
  );
}

const keyOf = ({ option, end }: KeptWay) => `${option} ${end}`;

type CardProps = {
  way: KeptWay;
  horizon: Horizon;
  name: string;
  isLeast: boolean;
  isOpen: boolean;
  isAgainst: boolean;
  onAgainst: () => void;
  onOpen: () => void;
};

function WayCard({ way, horizon, name, isLeast, isOpen, isAgainst, onAgainst, onOpen }: CardProps) {
  const { notation } = useNotation();
  const { currency, file } = horizon;
  const money = (minor: number) => amountIn(minor, currency, notation);
  const { net, aMonth, aUnit, cost, equity, instead } = way;
  const isToday = file.todaysMoney === true;
  const perUnit = aUnit === null ? "" : decimalIn((aUnit / 1000).toFixed(3), notation);
  return (
    <section
      aria-label={name}
      className="flex h-full flex-col rounded-box border border-base-300 border-t-4 bg-base-100 px-3.5 py-2"
      style={{ borderTopColor: wayStyle(way).stroke }}
    >
      <h3 className="font-sans font-semibold">
        {name} {isLeast && <span className="whitespace-nowrap text-sm text-success">◂ least</span>}
      </h3>
      <p className="font-semibold font-serif text-2xl" data-testid="net-cost">
        {money(net)}
      </p>
      <p className="text-faint text-sm">
        {money(aMonth)} a month
        {perUnit && ` · ${perUnit} a ${file.unit === "mi" ? "mile" : file.unit}`}
      </p>
      {cost.today !== null && (
        <p className="text-faint text-sm">
          {isToday ? `${money(cost.plain)} plain` : `${money(cost.today)} in today’s money`}
        </p>
      )}
      {equity !== null && way.owed !== null && way.owed > 0 && (
        <p className={`text-sm ${equity < 0 ? "text-warning" : "text-faint"}`}>
          {equity < 0
            ? `owes ${money(-equity)} more than it is worth`
            : `worth ${money(equity)} more than is owed`}
        </p>
      )}
      {instead && (
        <p className="text-faint text-sm">
          cheaper than {instead.how === "boughtOut" ? "bought out early and sold" : "ended early"},{" "}
          {money(instead.net)}
        </p>
      )}
      <p className="mt-auto flex flex-wrap gap-x-3 pt-1 text-sm">
        <button
          type="button"
          className="min-h-6 cursor-pointer font-semibold text-primary"
          aria-expanded={isOpen}
          aria-label={`Working of ${name}`}
          onClick={onOpen}
        >
          How {isOpen ? "▾" : "▸"}
        </button>
        {isAgainst ? (
          <span className="text-faint leading-6">others set against it</span>
        ) : (
          <button
            type="button"
            className="min-h-6 cursor-pointer text-primary underline decoration-dotted underline-offset-2"
            onClick={onAgainst}
          >
            set others against it
            <span className="sr-only">: {name}</span>
          </button>
        )}
      </p>
    </section>
  );
}

type DetailsProps = {
  way: KeptWay;
  told: NonNullable<Horizon["told"]>;
  name: string;
  currency: string;
};

/** How a way's cost comes about, and its money by date. */
function WayDetails({ way, told, name, currency }: DetailsProps) {
  const { notation, say } = useNotation();
  const decimals = currencyDecimals(currency) ?? 2;
  const working: Result<WorkingStep> = keptWorking(evaluatedAgain(told.asked), way);
  return (
    <section
      aria-label={`How ${name} comes about`}
      className="mx-4 my-1 grid gap-x-8 gap-y-2 rounded-box border-primary border-l-4 py-1 pl-3 text-sm leading-snug md:grid-cols-[3fr_2fr]"
    >
      {working.ok && (
        <div>
          <WorkingSteps step={working.value} say={say} />
        </div>
      )}
      <table className="self-start">
        <caption className="text-left font-semibold">Money out and in, by date</caption>
        <tbody>
          {runsOf(way.flows).map(({ first, last, count, amount, words }) => (
            <tr key={`${first} ${words} ${amount}`}>
              <th scope="row" className="pr-4 text-left font-normal text-faint">
                {dateIn(first, notation)}
                {count > 1 && ` to ${dateIn(last, notation)}`}
              </th>
              <td>{count > 1 ? `${count} × ${words}` : words}</td>
              <td className="whitespace-nowrap pl-4 text-right">
                {amount < 0 ? "− " : ""}
                {amountIn(Math.abs(amount), currency, notation)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-faint md:col-span-2">
        Amounts in {currency}, to {decimals} decimals; what comes in has a minus.
      </p>
    </section>
  );
}

/** Payments of one amount that follow each other, as one line. */
function runsOf(flows: KeptWay["flows"]) {
  const runs: { first: number; last: number; count: number; amount: number; words: string }[] = [];
  for (const { date, amount, name } of flows) {
    const before = runs.at(-1);
    const words = FLOW_WORDS[name];
    if (before && before.amount === amount && before.words === words) {
      before.last = date;
      before.count += 1;
    } else runs.push({ first: date, last: date, count: 1, amount, words });
  }
  return runs;
}
