import { useState } from "react";
import { LONGEST_LINE_NAME } from "@/core";
import type { HouseCurve } from "@/exchange/keep-for/keep-for.schema";
import { keepForAtFirst } from "@/exchange/keep-for/start";
import { notationOf } from "@/exchange/notation";
import type { Settings } from "@/exchange/settings";
import { Choice } from "@/features/deal/parts/choices";
import { focusSoon } from "@/features/focus/focus-soon";
import { CurveFields } from "@/features/worth/CurveFields";

const MOST_CURVES = 20;

type Props = {
  curves: readonly HouseCurve[];
  house: Pick<Settings, "locale" | "place">;
  onChange: (curves: HouseCurve[]) => void;
};

/** What vehicles of each kind will be worth: a deal copies the first, until another is chosen on it. */
export function CurvesCard({ curves, house, onChange }: Props) {
  const [open, setOpen] = useState<number | null>(null);
  const put = (index: number, change: (now: HouseCurve) => HouseCurve) =>
    onChange(curves.map((curve, at) => (at === index ? change(curve) : curve)));
  return (
    <section aria-labelledby="curves-title" className="card-paper px-4 py-3">
      <h2 id="curves-title" className="font-semibold text-lg">
        What vehicles will be worth
      </h2>
      <p className="text-faint text-sm">
        By kind of vehicle, in percent of the list price by age. “How long” of a deal begins with the first.
      </p>
      <ul>
        {curves.map((curve, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a curve has no other identity than its place.
          <li key={index} className="border-base-300 border-b py-1.5 last:border-b-0">
            <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
              <input
                aria-label={`Kind of vehicle ${index + 1}`}
                className="field max-w-72"
                value={curve.name}
                maxLength={LONGEST_LINE_NAME}
                autoComplete="off"
                data-curve={index}
                onChange={event =>
                  put(index, now => ({ ...now, name: event.target.value.replace(/\p{Cc}/gu, " ") }))
                }
              />
              <button
                type="button"
                aria-expanded={open === index}
                aria-label={`Change ${curve.name}`}
                className="min-h-6 cursor-pointer text-left text-primary text-sm underline decoration-dotted underline-offset-2"
                onClick={() => setOpen(open === index ? null : index)}
              >
                {inWords(curve)}
              </button>
            </div>
            {curve.name.trim() === "" && (
              <p className="text-error text-sm">A curve has a name, by which it is chosen.</p>
            )}
            {open === index && (
              <div className="mt-1">
                <CurveFields
                  curve={curve}
                  unit={curve.unit}
                  months={null}
                  longest={LONGEST_SHOWN}
                  notation={notationOf(house.locale)}
                  onChange={change => put(index, change)}
                />
                <div className="mt-2 flex flex-wrap items-end gap-3">
                  <div className="w-32">
                    <Choice
                      label="Unit of distance"
                      value={curve.unit}
                      choices={[
                        ["mi", "miles"],
                        ["km", "km"],
                      ]}
                      onChange={unit => put(index, now => ({ ...now, unit }))}
                    />
                  </div>
                  <button
                    type="button"
                    className="btn btn-sm"
                    onClick={() => {
                      setOpen(null);
                      onChange(curves.filter((_, at) => at !== index));
                    }}
                  >
                    Take the curve out
                  </button>
                </div>
              </div>
            )}
          </li>
        ))}
      </ul>
      {curves.length < MOST_CURVES && (
        <button
          type="button"
          className="mt-1 min-h-6 cursor-pointer font-semibold text-primary text-sm"
          onClick={() => {
            onChange([...curves, nextAfter(curves, house.place)]);
            setOpen(curves.length);
            focusSoon(`[data-curve="${curves.length}"]`);
          }}
        >
          + kind of vehicle
        </button>
      )}
    </section>
  );
}

const LONGEST_SHOWN = 84;

/** "100 %, 78 % after 12 months, …" is too long: its first year and its last. */
function inWords({ points }: HouseCurve): string {
  const last = points.reduce((one, other) => (other.month > one.month ? other : one));
  return `${last.percent} % after ${last.month} months`;
}

/** As the last one, to be changed; the first is what is assumed of any vehicle. */
function nextAfter(curves: readonly HouseCurve[], place: Settings["place"]): HouseCurve {
  const last = curves.at(-1);
  if (last) return { ...last, name: "Other vehicles" };
  const { unit, value } = keepForAtFirst(place);
  return { name: "Vehicles", unit, ...value };
}
