import { memo } from "react";
import type { MapAxis, MapFigure, MapRange } from "@/core/map";
import { figureName } from "@/core/map";
import { BudgetField } from "../desk/BudgetField";
import type { MapChoice } from "./choice";
import { axisName, type MapSubject } from "./map-words";
import { Ranges } from "./Ranges";

type Props = {
  choice: MapChoice;
  subject: MapSubject;
  /** What the deal has. */
  axes: readonly MapAxis[];
  figures: readonly MapFigure[];
  across: MapRange;
  up: MapRange;
  onChoice: (choice: MapChoice) => void;
};

/** What the map shows, over what, from where to where. */
export const MapBar = memo(function MapBar(props: Props) {
  const { choice, subject, axes, figures, onChoice } = props;
  const { across, up, figure } = choice;
  const axisChoices = (other: MapAxis) =>
    axes.filter(axis => axis !== other).map((axis): [MapAxis, string] => [axis, axisName(axis, subject)]);
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        The
        <Pick
          label="What the map shows"
          value={figure}
          choices={figures.map(each => [each, figureName(each, subject.kind)])}
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
        <button
          type="button"
          className="btn btn-ghost btn-sm text-primary"
          aria-pressed={choice.asFigures}
          onClick={() => onChoice({ ...choice, asFigures: !choice.asFigures })}
        >
          {choice.asFigures ? "As a map" : "As figures"}
        </button>
      </div>
      <div className="flex flex-wrap items-start gap-x-3 gap-y-1 py-1">
        <Ranges
          key={`${across} ${up}`}
          across={{ axis: across, range: props.across, isOwn: across in choice.ranges }}
          up={{ axis: up, range: props.up, isOwn: up in choice.ranges }}
          nameOf={axis => axisName(axis, subject)}
          decimals={subject.decimals}
          onRange={(axis, range) => {
            const { [axis]: _, ...others } = choice.ranges;
            onChoice({ ...choice, ranges: range ? { ...others, [axis]: range } : others });
          }}
        />
        <span className="grow" />
        <BudgetField label="budget a month" />
      </div>
    </>
  );
});

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
