import type { AfterEnd } from "@/core/horizon";
import { AFTER_WORDS } from "@/exchange/keep-for/keep-for-words";
import type { CalledOption } from "../options/use-options";
import { WordSelect } from "../parts/WordSelect";
import { CardSection } from "../repayment/CardSection";
import type { Horizon } from "./use-horizon";

type Props = { horizon: Horizon; options: readonly CalledOption[] };

/** What becomes of each lease, and of a balloon loan that can be returned, where the vehicle is kept for longer than it lasts. */
export function AfterEnds({ horizon, options }: Props) {
  const asked = options.flatMap(option => {
    const ends = endsOf(option);
    return ends.length > 0 ? [{ option, ends }] : [];
  });
  if (asked.length === 0) return null;
  return (
    <CardSection title="After its end">
      <ul>
        {asked.map(({ option: { id, called }, ends }) => (
          <li key={id}>
            {called}:{" "}
            <WordSelect<AfterEnd>
              label={`After the end of ${called}`}
              value={horizon.after(id)}
              choices={ends.map(each => [each, AFTER_WORDS[each]] as const)}
              onChange={after => horizon.putAfter(id, after)}
            />
          </li>
        ))}
      </ul>
    </CardSection>
  );
}

/** What can become of an option's vehicle; nothing where there is nothing to choose. */
function endsOf({ state: { inputs } }: CalledOption): readonly AfterEnd[] {
  const { plan } = inputs;
  if (plan.kind === "lease") return ["buy", "again", "handBack"];
  return plan.balloon?.returnable ? ["buy", "handBack"] : [];
}
