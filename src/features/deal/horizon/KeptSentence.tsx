import type { KeepForFile } from "@/exchange/keep-for/keep-for.schema";
import { unitName } from "@/exchange/keep-for/tie-words";
import { withOptional } from "@/exchange/members";
import { inNotation } from "@/exchange/notation";
import { moneyText } from "@/exchange/notation/money-text";
import { TypedFigure } from "@/features/typing/TypedFigure";
import { readDistance, readMonths, readPercentOrNone } from "@/features/worth/read-figures";
import { useDesk } from "../desk/desk-context";
import { useNotation } from "../option/option-context";
import { WordSelect } from "../parts/WordSelect";
import type { Horizon } from "./use-horizon";

const HIGHEST_RETURN = 1000;
const FIELD = "inline-block h-9 font-sans font-semibold text-lg align-baseline";

const UNITS = (["mi", "km"] as const).map(unit => [unit, unitName(unit)] as const);

/** Everything that is assumed, as one sentence whose figures are live. */
export function KeptSentence({ horizon }: { horizon: Horizon }) {
  const { notation } = useNotation();
  const { state, dispatch } = useDesk();
  const { file, change, told, currency, isOld } = horizon;
  const { months, distance, unit } = file;
  const earns = state.asides?.return;
  const [rate, tax] = [earns && String(earns.rate), String(earns?.tax ?? "0")];
  const putReturn = (next: { rate?: string | undefined; tax?: string }, key: string) =>
    dispatch({
      type: "asides",
      key: `return ${key}`,
      change: asides => ({ ...asides, return: { rate: "0", ...asides.return, ...next } as typeof earns }),
    });
  const forget = () =>
    dispatch({
      type: "asides",
      change: asides => {
        const { keepFor } = asides;
        const plain = keepFor && { ...asides, keepFor: withOptional(keepFor, "todaysMoney", undefined) };
        return withOptional(plain ?? asides, "return", undefined);
      },
    });
  return (
    <p className="px-4 pt-3 pb-1 font-serif text-xl leading-10" data-testid="kept-sentence">
      Kept for{" "}
      <TypedFigure
        label="Months"
        className={`${FIELD} w-16`}
        shown={String(months)}
        value={months}
        notation={notation}
        read={text => readMonths(text, notation)}
        put={value => change(now => ({ ...now, months: value }), "months")}
      />{" "}
      {months === 1 ? "month" : "months"} and driven{" "}
      <TypedFigure
        label="Distance a year"
        className={`${FIELD} w-24`}
        shown={inNotation(distance.toLocaleString("en-US", { maximumFractionDigits: 2 }), notation)}
        value={distance}
        notation={notation}
        read={text => readDistance(text, notation)}
        put={value => change(now => ({ ...now, distance: value }), "distance")}
      />{" "}
      <WordSelect<KeepForFile["unit"]>
        label="Unit of distance"
        value={unit}
        choices={UNITS}
        onChange={value => change(now => ({ ...now, unit: value }))}
      />{" "}
      a year, it will be worth{" "}
      <b className={`font-semibold ${isOld ? "stale" : ""}`} data-testid="kept-value">
        {told ? moneyText(told.kept.value, currency, notation) : "–"}
      </b>
      ; money kept earns{" "}
      <TypedFigure
        label="Yearly return"
        className={`${FIELD} w-20`}
        placeholder="– %"
        shown={rate === undefined ? "" : inNotation(`${rate} %`, notation)}
        value={rate}
        notation={notation}
        read={text => readPercentOrNone(text, notation, { most: HIGHEST_RETURN, isBelow: true })}
        put={value => (value === undefined ? forget() : putReturn({ rate: value }, "rate"))}
      />{" "}
      a year
      {rate !== undefined && (
        <>
          , taxed at{" "}
          <TypedFigure
            label="Tax on the return"
            className={`${FIELD} w-20`}
            shown={inNotation(`${tax} %`, notation)}
            value={tax}
            notation={notation}
            read={text => {
              const read = readPercentOrNone(text, notation, { most: 100 });
              return "value" in read ? { value: read.value ?? "0" } : read;
            }}
            put={value => putReturn({ tax: value }, "tax")}
          />
        </>
      )}
      .
    </p>
  );
}
