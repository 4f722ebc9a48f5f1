import { useState } from "react";
import { inNotation } from "@/exchange/notation";
import { useDesk } from "../desk/desk-context";
import { useNotation } from "../option/option-context";
import { useOptions } from "../options/use-options";
import { AfterEnds } from "./AfterEnds";
import { CashCard } from "./CashCard";
import { CostChart } from "./CostChart";
import { KeptSentence } from "./KeptSentence";
import { Ties } from "./Ties";
import { useHorizon } from "./use-horizon";
import { WayCards } from "./WayCards";
import { WorthCard } from "./WorthCard";

/** How long the vehicle is kept: what each way to pay costs by then, over every length, and where two of them tie. */
export function HowLong() {
  const { state } = useDesk();
  const { notation } = useNotation();
  const options = useOptions();
  const own = Math.max(
    options.findIndex(({ id }) => id === state.chosen),
    0,
  );
  const [against, setAgainst] = useState<number | null | undefined>();
  const shown = against === undefined || (against !== null && against >= options.length) ? own : against;
  const horizon = useHorizon(shown);
  const { told, failure, file, change } = horizon;
  const names = options.map(({ called }) => called);
  const hasReturn = state.asides?.return !== undefined;
  return (
    <section aria-label="How long" className="card-paper flex min-h-0 flex-1 flex-col overflow-auto">
      <KeptSentence horizon={horizon} />
      <div className="flex flex-wrap items-center gap-x-4 px-4 pb-1 text-sm">
        <fieldset className="flex gap-3">
          <legend className="sr-only">What costs are compared in</legend>
          {([false, true] as const).map(isToday => (
            <label key={String(isToday)} className="flex min-h-6 cursor-pointer items-center gap-1.5">
              <input
                type="radio"
                name="kept-measure"
                className="radio radio-sm bg-base-100"
                checked={(file.todaysMoney ?? false) === isToday}
                disabled={isToday && !hasReturn}
                onChange={() =>
                  change(({ todaysMoney: _, ...now }) => ({ ...now, ...(isToday && { todaysMoney: true }) }))
                }
              />
              {isToday ? "in today’s money" : "plain"}
            </label>
          ))}
        </fieldset>
        <span className="text-faint">
          {hasReturn ? "" : "Today’s money needs what money kept earns. "}Net cost of finance and
          depreciation; insurance, fuel and repairs are not in it.
        </span>
      </div>
      {failure && (
        <p role="status" className="px-4 py-1 text-error">
          {inNotation(failure.sentence, notation)}
        </p>
      )}
      {told && (
        <>
          <WayCards
            horizon={horizon}
            told={told}
            names={names}
            against={told.kept.ways[told.kept.against]?.option ?? null}
            onAgainst={setAgainst}
          />
          {told.kept.leftOut.map(({ option, failure: { sentence } }) => (
            <p key={option} className="px-4 text-sm text-warning">
              {names[option]} is left out: {inNotation(sentence, notation)}
            </p>
          ))}
        </>
      )}
      <div className="grid flex-1 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <div className="min-w-0 pt-2">
          {told && <CostChart horizon={horizon} told={told} names={names} />}
          <div className="border-base-300 border-t">
            {told && <CashCard horizon={horizon} told={told} />}
            <AfterEnds horizon={horizon} options={options} />
          </div>
        </div>
        <div className="min-w-0 border-base-300 lg:border-l">
          {told && <Ties horizon={horizon} told={told} names={names} />}
          <WorthCard horizon={horizon} />
        </div>
      </div>
    </section>
  );
}
