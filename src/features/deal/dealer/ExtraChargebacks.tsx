import { costedLines, type DealerOfOption } from "@/exchange/dealer";
import { definedOnly, withOptional } from "@/exchange/members";
import { useOption } from "../option/option-context";
import { KnownField } from "./KnownField";

type Props = { id: string; known: DealerOfOption; put: (next: DealerOfOption) => void };

const LONGEST_MONTHS = 1200;
const LONGEST_DAYS = 3660;

/** What of each extra comes back where the customer pays off early: by time, all of it up to a day. */
export function ExtraChargebacks({ id, known, put }: Props) {
  const { inputs } = useOption().option;
  const extras = costedLines({ id, name: "", inputs }).filter(({ list }) => list === "extras");
  const change = (line: string, terms: object | undefined) => {
    const all = withOptional({ ...known.extraChargebacks }, line, terms as never) as Record<string, object>;
    put(withOptional(known, "extraChargebacks", Object.keys(all).length > 0 ? all : undefined));
  };
  const whole = (text: string | undefined) => (text === undefined ? undefined : Number(text));
  return extras.map(({ id: line, name }) => {
    const terms = known.extraChargebacks?.[line];
    return (
      <div key={line} className="flex flex-wrap items-center gap-x-2 gap-y-1 text-sm">
        <label className="flex min-h-6 items-center gap-1.5">
          <input
            type="checkbox"
            className="size-6"
            checked={terms !== undefined}
            onChange={({ target }) => change(line, target.checked ? {} : undefined)}
          />
          {name} comes back by time
        </label>
        {terms && (
          <>
            over
            <KnownField
              label={`${name}: months over which it comes back`}
              of="count"
              most={LONGEST_MONTHS}
              value={terms.term}
              put={text => change(line, definedOnly({ ...terms, term: whole(text) || undefined }))}
              placeholder="its own"
              className="w-20"
            />
            months, all of it up to day
            <KnownField
              label={`${name}: all comes back up to day`}
              of="count"
              most={LONGEST_DAYS}
              value={terms.untilDays}
              put={text => change(line, definedOnly({ ...terms, untilDays: whole(text) }))}
              className="w-20"
            />
          </>
        )}
      </div>
    );
  });
}
