import { useCallback, useMemo, useRef } from "react";
import { askingPayment, currencyDecimals, type Deal } from "@/core";
import {
  axesOf,
  figureName,
  figureOf,
  figuresOn,
  type MapRange,
  percentPlaces,
  valueOn,
  valuesOf,
} from "@/core/map";
import { useBudget } from "../desk/BudgetField";
import { useDesk } from "../desk/desk-context";
import { isStale, shownQuote } from "../option";
import { useNotation, useOption } from "../option/option-context";
import { withInputsOf } from "../options/option-changes";
import { useOptionActions } from "../options/use-options";
import { budgetEachTime } from "./budget";
import { choiceFor, FIRST_CHOICE, isOn, type MapChoice, rangesOf } from "./choice";
import { inputsAt } from "./inputs-at";
import { MapBar } from "./MapBar";
import { MapFigures } from "./MapFigures";
import { MapPlane } from "./MapPlane";
import { mapWriter } from "./map-words";
import { payingInputs } from "./paying-inputs";
import { useMap } from "./use-map";

type Props = {
  /** Null before anything was chosen. */ choice: MapChoice | null;
  onChoice: (choice: MapChoice) => void;
};

/** The payment, or another figure, over two figures of the deal: every place is the exact answer of the deal there. */
export function PaymentMap({ choice, onChoice }: Props) {
  const { option } = useOption();
  const quote = shownQuote(option);
  const deal = useMemo(() => (quote ? askingPayment<Deal>(quote.filled) : null), [quote]);
  return (
    <section aria-label="Map" className="card-paper flex shrink-0 flex-col px-4 py-2 max-lg:order-[-2]">
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
  deal: Deal;
  asked: MapChoice;
  onChoice: (choice: MapChoice) => void;
}) {
  const { option } = useOption();
  const { notation } = useNotation();
  const { state, edit } = useDesk();
  const { addAfter } = useOptionActions();
  const aMonth = useBudget();
  const { inputs, kind } = option;
  const decimals = currencyDecimals(inputs.currency) ?? 2;
  const unit = 10 ** decimals;
  const [axes, figures] = [useSteady(axesOf(deal)), useSteady(figuresOn(deal))];
  const choice = useMemo(() => choiceFor({ axes, figures }, asked), [axes, figures, asked]);
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
      unit: percentPlaces(figure, kind) === undefined ? unit : 1,
      budget,
    }),
    [deal, across, up, ranges.across, ranges.up, figure, kind, unit, budget],
  );
  const made = useMap(question);
  const { currency, plan, structure } = inputs;
  const { frequency } = plan;
  const isPersonal = structure.purpose !== undefined;
  const subject = useMemo(
    () => ({ currency, frequency, kind, isPersonal, decimals }),
    [currency, frequency, kind, isPersonal, decimals],
  );
  const write = useMemo(() => mapWriter(subject, notation), [subject, notation]);
  const latest = useRef({ option, open: state.open, made });
  latest.current = { option, open: state.open, made };
  /** What stands at a place of the map that is shown, which may be older than what is asked for. */
  const take = useCallback(
    (x: number, y: number, isOption: boolean) => {
      const { option: now, open, made: shown } = latest.current;
      if (!shown) return;
      const { across: side, up: other } = shown.question;
      const moved = inputsAt(inputsAt(payingInputs(now), other.axis, y), side.axis, x);
      if (isOption) addAfter(open, [moved]);
      else edit(withInputsOf(open, moved));
    },
    [addAfter, edit],
  );
  return (
    <>
      <MapBar
        choice={choice}
        subject={subject}
        axes={axes}
        figures={figures}
        across={ranges.across}
        up={ranges.up}
        onChoice={onChoice}
      />
      {!made ? (
        <p className="py-6 text-faint">Reckoning the map …</p>
      ) : choice.asFigures ? (
        <MapFigures made={made} write={write} name={figureName(made.question.figure, kind)} />
      ) : (
        <MapPlane
          made={made}
          write={write}
          name={figureName(made.question.figure, kind)}
          isStale={isStale(option)}
          pinX={valueOn(deal, made.question.across.axis)}
          pinY={valueOn(deal, made.question.up.axis)}
          pinFigure={figureOf(deal, made.question.figure)}
          onTake={take}
        />
      )}
    </>
  );
}

/** The ranges stay while the deal lies on them, so that the map does not move under it with every key. */
function useSteadyRanges(deal: Deal, choice: MapChoice, unit: number): { across: MapRange; up: MapRange } {
  const last = useRef<{ key: string; across: MapRange; up: MapRange }>(undefined);
  const key = JSON.stringify([choice.across, choice.up, choice.ranges, deal.plan.frequency]);
  const now = last.current;
  if (now?.key === key && isOn(deal, choice.across, now.across) && isOn(deal, choice.up, now.up)) return now;
  last.current = { key, ...rangesOf(deal, choice, unit) };
  return last.current;
}

/** The same list for as long as it holds the same. */
function useSteady<Value extends string>(list: readonly Value[]): readonly Value[] {
  const last = useRef(list);
  if (last.current.join() !== list.join()) last.current = list;
  return last.current;
}
