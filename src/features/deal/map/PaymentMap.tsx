import { useMemo, useRef } from "react";
import { currencyDecimals } from "@/core";
import {
  axesOf,
  figureOf,
  figuresOn,
  type MapAxis,
  type Mapped,
  type MapRange,
  mappable,
  valueOn,
  valuesOf,
} from "@/core/map";
import type { MapQuestion } from "@/workers/map-worker";
import { BudgetField, useBudget } from "../desk/BudgetField";
import { useDesk } from "../desk/desk-context";
import { isStale, type OptionState, shownQuote } from "../option";
import { useNotation, useOption } from "../option/option-context";
import { useOptionActions } from "../options/use-options";
import { budgetEachTime } from "./budget";
import { choiceFor, FIRST_CHOICE, isOn, type MapChoice, rangesOf } from "./choice";
import { inputsAt } from "./inputs-at";
import { MapFigures } from "./MapFigures";
import { MapPlane } from "./MapPlane";
import { axisName, figureName, mapWriter } from "./map-words";
import { payingInputs } from "./paying-inputs";
import { Ranges } from "./Ranges";
import { useMap } from "./use-map";

type Props = {
  /** Null before anything was chosen. */ choice: MapChoice | null;
  onChoice: (choice: MapChoice) => void;
};

/** The payment, or another figure, over two figures of the deal: every place is the exact answer of the deal there. */
export function PaymentMap({ choice, onChoice }: Props) {
  const { option } = useOption();
  const quote = shownQuote(option);
  const deal = useMemo(() => (quote ? mappable<Mapped>(quote.filled) : null), [quote]);
  return (
    <section aria-label="Map" className="card-paper flex shrink-0 flex-col px-4 py-2">
      {deal ? (
        <MapOf deal={deal} asked={choice ?? FIRST_CHOICE} onChoice={onChoice} />
      ) : (
        <p className="py-6 text-faint">The map appears once the deal has an answer.</p>
      )}
    </section>
  );
}

function MapOf({
  deal,
  asked,
  onChoice,
}: {
  deal: Mapped;
  asked: MapChoice;
  onChoice: (choice: MapChoice) => void;
}) {
  const { option } = useOption();
  const { notation } = useNotation();
  const { state, edit } = useDesk();
  const { addAfter } = useOptionActions();
  const aMonth = useBudget();
  const { inputs } = option;
  const decimals = currencyDecimals(inputs.currency) ?? 2;
  const unit = 10 ** decimals;
  const choice = choiceFor(deal, asked);
  const { across, up, figure } = choice;
  const ranges = useSteadyRanges(deal, choice, unit);
  const budget =
    aMonth === undefined || figure !== "payment" ? undefined : budgetEachTime(aMonth, inputs.plan.frequency);
  const question = useMemo(
    () => ({
      deal,
      across: { axis: across, values: valuesOf(ranges.across) },
      up: { axis: up, values: valuesOf(ranges.up) },
      figure,
      unit: figure === "apr" ? 1 : unit,
      budget,
    }),
    [deal, across, up, ranges.across, ranges.up, figure, unit, budget],
  );
  const made = useMap(question);
  const write = useMemo(() => mapWriter(inputs, decimals, notation), [inputs, decimals, notation]);
  /** What stands at a place of the map that is shown, which may be older than what is asked for. */
  const movedTo = (x: number, y: number) => {
    const { across: side, up: other } = made?.question ?? question;
    return inputsAt(inputsAt(payingInputs(option), other.axis, y), side.axis, x);
  };
  const axes = axesOf(deal);
  const axisChoices = (other: MapAxis) =>
    axes.filter(axis => axis !== other).map((axis): [MapAxis, string] => [axis, axisName(axis, inputs)]);
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        The
        <Pick
          label="What the map shows"
          value={figure}
          choices={figuresOn(deal).map(each => [each, figureName(each, inputs)])}
          onPick={each => onChoice({ ...choice, figure: each })}
        />
        over
        <Pick
          label="Across"
          value={across}
          choices={axisChoices(up)}
          onPick={axis => onChoice({ ...choice, across: axis })}
        />
        and
        <Pick
          label="Up"
          value={up}
          choices={axisChoices(across)}
          onPick={axis => onChoice({ ...choice, up: axis })}
        />
        <span className="grow" />
        <BudgetField label="budget a month" />
        <button
          type="button"
          className="btn btn-ghost btn-sm text-primary"
          aria-pressed={choice.asFigures}
          onClick={() => onChoice({ ...choice, asFigures: !choice.asFigures })}
        >
          {choice.asFigures ? "As a map" : "As figures"}
        </button>
      </div>
      <Ranges
        key={`${across} ${up}`}
        across={{ axis: across, range: ranges.across, isOwn: across in choice.ranges }}
        up={{ axis: up, range: ranges.up, isOwn: up in choice.ranges }}
        nameOf={axis => axisName(axis, inputs)}
        decimals={decimals}
        onRange={(axis, range) => {
          const { [axis]: _, ...others } = choice.ranges;
          onChoice({ ...choice, ranges: range ? { ...others, [axis]: range } : others });
        }}
      />
      {!made ? (
        <p className="py-6 text-faint">Reckoning the map …</p>
      ) : choice.asFigures ? (
        <MapFigures made={made} write={write} name={figureName(made.question.figure, inputs)} />
      ) : (
        <MapPlane
          made={made}
          write={write}
          name={figureName(made.question.figure, inputs)}
          isStale={isStale(option)}
          pin={pinOf(deal, made.question)}
          onMove={(x, y) => edit(withInputsOf(state.open, movedTo(x, y)))}
          onAdd={(x, y) => addAfter(state.open, [movedTo(x, y)])}
        />
      )}
    </>
  );
}

/** Where the deal stands on a map, and its own figure there. */
const pinOf = (deal: Mapped, { across, up, figure }: MapQuestion) => ({
  x: valueOn(deal, across.axis),
  y: valueOn(deal, up.axis),
  figure: figureOf(deal, figure),
});

/** The deal with an option's inputs changed. */
const withInputsOf =
  (id: string, inputs: OptionState["inputs"]) =>
  <Document extends { options: { id: string; inputs: OptionState["inputs"] }[] }>(
    document: Document,
  ): Document => ({
    ...document,
    options: document.options.map(option => (option.id === id ? { ...option, inputs } : option)),
  });

/** The ranges stay while the deal lies on them, so that the map does not move under it with every key. */
function useSteadyRanges(deal: Mapped, choice: MapChoice, unit: number): { across: MapRange; up: MapRange } {
  const last = useRef<{ key: string; across: MapRange; up: MapRange }>(undefined);
  const key = JSON.stringify([choice.across, choice.up, choice.ranges, deal.plan.frequency]);
  const now = last.current;
  if (now?.key === key && isOn(deal, choice.across, now.across) && isOn(deal, choice.up, now.up)) return now;
  last.current = { key, ...rangesOf(deal, choice, unit) };
  return last.current;
}

type PickProps<Value extends string> = {
  label: string;
  value: Value;
  choices: readonly (readonly [Value, string])[];
  onPick: (value: Value) => void;
};

function Pick<Value extends string>({ label, value, choices, onPick }: PickProps<Value>) {
  return (
    <select
      aria-label={label}
      className="field w-auto [field-sizing:content]"
      value={value}
      onChange={event => onPick(event.target.value as Value)}
    >
      {choices.map(([each, name]) => (
        <option key={each} value={each}>
          {name}
        </option>
      ))}
    </select>
  );
}
