import type { HouseCurve, KeepForFile } from "@/exchange/keep-for/keep-for.schema";
import { unitName } from "@/exchange/keep-for/tie-words";
import { withOptional } from "@/exchange/members";
import { inNotation, type Notation } from "@/exchange/notation";
import { TypedFigure } from "@/features/typing/TypedFigure";
import { readDistance, readPercentOrNone, readPrice } from "./read-figures";
import { WorthCurve } from "./WorthCurve";

/** A curve, of a deal or of the house. */
type Curve = Pick<HouseCurve, "points" | "normalDistance" | "beyond" | "realized">;

type Props<Of extends Curve> = {
  curve: Of;
  unit: KeepForFile["unit"];
  /** How long it is kept, which is marked; null where that is not asked. */
  months: number | null;
  longest: number;
  notation: Notation;
  /** Changes it; more of the same, such as typing in one field, is one step. */
  onChange: (change: (now: Of) => Of, key: string) => void;
};

const WHOLE = "100";

/** What a vehicle will be worth: a curve by its age, what distance takes off, and what of it a lessor gets. */
export function CurveFields<Of extends Curve>({
  curve,
  unit,
  months,
  longest,
  notation,
  onChange,
}: Props<Of>) {
  const { points, normalDistance = 0, beyond = "0", realized = WHOLE } = curve;
  return (
    <>
      <WorthCurve
        points={points}
        months={months}
        longest={longest}
        notation={notation}
        onPoints={next => onChange(now => ({ ...now, points: next }), "points")}
      />
      <div className="mt-1 flex flex-wrap items-center gap-x-2 gap-y-1 text-sm">
        less
        <TypedFigure
          label="Off for each unit beyond a normal year"
          className="w-20"
          shown={inNotation(String(beyond), notation)}
          value={String(beyond)}
          notation={notation}
          read={text => readPrice(text, notation)}
          put={next => onChange(now => ({ normalDistance: 0, ...now, beyond: next }), "beyond")}
        />
        for each of its {unitName(unit)} beyond
        <TypedFigure
          label="Driven in a normal year"
          className="w-24"
          shown={inNotation(normalDistance.toLocaleString("en-US"), notation)}
          value={normalDistance}
          notation={notation}
          read={text => readDistance(text, notation)}
          put={next => onChange(now => ({ ...now, normalDistance: next }), "normal")}
        />
        a year. A lessor gets
        <TypedFigure
          label="What of it a lessor gets"
          className="w-20"
          shown={inNotation(`${realized} %`, notation)}
          value={String(realized)}
          notation={notation}
          read={text => {
            const read = readPercentOrNone(text, notation, { most: Number(WHOLE) });
            return "value" in read ? { value: read.value ?? WHOLE } : read;
          }}
          put={next =>
            onChange(
              now => withOptional(now as Curve, "realized", next === WHOLE ? undefined : next) as Of,
              "realized",
            )
          }
        />
        of it.
      </div>
    </>
  );
}
