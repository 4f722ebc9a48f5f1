import { useEffect, useRef } from "react";
import { type Settings, usualLine, withTaxProfile } from "@/exchange/settings";
import { PERCENT_OF_WORDS } from "@/exchange/structure";
import { typedAmountText } from "@/exchange/text";
import { useStructure } from "./use-structure";

/** The lists for which a house has usual lines. */
export type UsualList = "taxes" | "fees" | "extras";

type Props = {
  list: UsualList;
  house: Settings;
  /** Adds a line that the house does not have. */
  onAnother: () => void;
  onDone: () => void;
};

const NAMES = { taxes: "Taxes of", fees: "Usual fees", extras: "Usual extras" };
const ANOTHER = { taxes: "another tax", fees: "another fee", extras: "another extra" };

/** What the house usually has, to be copied into the deal, or a line of another kind. */
export function UsualLines({ list, house, onAnother, onDone }: Props) {
  const { add, change } = useStructure();
  const panel = useRef<HTMLDivElement>(null);
  useEffect(() => {
    panel.current?.querySelector("button")?.focus();
  }, []);
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset would stand apart from the words around it.
    <div
      ref={panel}
      role="group"
      aria-label={NAMES[list]}
      className="mt-1.5 rounded-field bg-base-200 p-2 text-sm"
      onKeyDown={event => {
        if (event.key === "Escape") onDone();
      }}
    >
      <p className="text-faint">{NAMES[list]}</p>
      <ul>
        {list === "taxes"
          ? house.taxProfiles?.map(profile => (
              <Usual
                key={profile.name}
                name={profile.name}
                figure={profile.taxes.map(({ rate }) => `${rate} %`).join(" + ")}
                onTake={() => {
                  change(now => withTaxProfile(now, profile));
                  onDone();
                }}
              />
            ))
          : house[list]?.map(line => (
              <Usual
                key={line.name}
                name={line.name}
                figure={
                  line.percentOf === undefined
                    ? typedAmountText(line.amount ?? "0", house.currency)
                    : `${line.percent} % ${PERCENT_OF_WORDS[line.percentOf]}`
                }
                onTake={() => {
                  add(list, usualLine(line));
                  onDone();
                }}
              />
            ))}
      </ul>
      <button
        type="button"
        className="mt-0.5 cursor-pointer font-semibold text-primary"
        onClick={() => {
          onAnother();
          onDone();
        }}
      >
        + {ANOTHER[list]}
      </button>
    </div>
  );
}

type UsualProps = { name: string; figure: string; onTake: () => void };

function Usual({ name, figure, onTake }: UsualProps) {
  const { say } = useStructure();
  return (
    <li>
      <button
        type="button"
        className="flex w-full cursor-pointer justify-between gap-3 rounded-field px-1 text-left text-primary hover:bg-base-100"
        onClick={onTake}
      >
        <span className="min-w-0">+ {name}</span>
        <span className="whitespace-nowrap text-base-content">{say(figure)}</span>
      </button>
    </li>
  );
}
