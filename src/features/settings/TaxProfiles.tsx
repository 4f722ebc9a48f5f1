import { type Dispatch, useCallback, useMemo, useState } from "react";
import { LONGEST_LINE_NAME, MOST_TAXES } from "@/core";
import { inNotation } from "@/exchange/notation";
import { linesOf } from "@/features/deal/fields";
import { withTaxAdded, withTaxIncluded } from "@/features/deal/fields/tax-in-price";
import { notationIn, type OptionAction } from "@/features/deal/option";
import { OptionProvider } from "@/features/deal/option/option-context";
import { Check } from "@/features/deal/parts/choices";
import { FigureField } from "@/features/deal/parts/FigureField";
import { TaxEditor } from "@/features/deal/structure/TaxEditor";
import { useStructure } from "@/features/deal/structure/use-structure";
import type { ProfileState, SettingsAction } from "./settings-state";

const MOST_PROFILES = 20;

type Props = { profiles: readonly ProfileState[]; dispatch: Dispatch<SettingsAction> };

/** Taxes that go together, by name: one choice puts all of them into a deal. */
export function TaxProfiles({ profiles, dispatch }: Props) {
  const [open, setOpen] = useState<number | null>(null);
  return (
    <section aria-labelledby="profiles-title" className="card-paper px-4 py-3">
      <h2 id="profiles-title" className="font-semibold text-lg">
        Tax profiles
      </h2>
      <ul>
        {profiles.map(profile => (
          <Profile
            key={profile.key}
            profile={profile}
            isOpen={open === profile.key}
            setOpen={isOpen => setOpen(isOpen ? profile.key : null)}
            dispatch={dispatch}
          />
        ))}
      </ul>
      {profiles.length === 0 && <p className="text-faint text-sm">None yet</p>}
      {profiles.length < MOST_PROFILES && (
        <button
          type="button"
          className="mt-1 cursor-pointer font-semibold text-primary text-sm"
          onClick={() => dispatch({ type: "addProfile" })}
        >
          + tax profile
        </button>
      )}
    </section>
  );
}

type ProfileProps = {
  profile: ProfileState;
  isOpen: boolean;
  setOpen: (isOpen: boolean) => void;
  dispatch: Dispatch<SettingsAction>;
};

function Profile({ profile, isOpen, setOpen, dispatch }: ProfileProps) {
  const { key, name, inEveryDeal, option } = profile;
  const act: Dispatch<OptionAction> = useCallback(
    action => dispatch({ type: "profile", key, action }),
    [dispatch, key],
  );
  const context = useMemo(() => ({ option, act }), [option, act]);
  const { taxes = [], taxIncluded } = option.inputs.structure;
  return (
    <li className="border-base-300 border-b py-1.5 last:border-b-0">
      <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
        <input
          aria-label={`Name of ${name}`}
          className="field max-w-72"
          value={name}
          maxLength={LONGEST_LINE_NAME}
          autoComplete="off"
          onChange={event =>
            dispatch({
              type: "profileHeading",
              key,
              change: { name: event.target.value.replace(/\p{Cc}/gu, " ") },
            })
          }
        />
        <Check
          label="in every new deal"
          checked={inEveryDeal}
          onChange={checked => dispatch({ type: "profileHeading", key, change: { inEveryDeal: checked } })}
        />
      </div>
      {name === "" && <p className="text-error text-sm">A profile has a name, by which it is chosen.</p>}
      <button
        type="button"
        aria-expanded={isOpen}
        aria-label={`Change ${name}`}
        className="cursor-pointer text-left text-primary text-sm underline decoration-dotted underline-offset-2"
        onClick={() => setOpen(!isOpen)}
      >
        {inNotation(taxes.map(tax => `${tax.name} ${tax.rate} %`).join(" + "), notationIn(option))}
        {taxIncluded && ", in the price"}
      </button>
      {isOpen && (
        <OptionProvider value={context}>
          <Taxes />
          <button
            type="button"
            className="btn btn-sm"
            onClick={() => {
              setOpen(false);
              dispatch({ type: "dropProfile", key });
            }}
          >
            Take the profile out
          </button>
        </OptionProvider>
      )}
    </li>
  );
}

/** The taxes of the profile that is open. */
function Taxes() {
  const { structure, change, add, takeOut } = useStructure();
  const taxes = linesOf(structure, "taxes");
  return (
    <div className="my-1 grid gap-2">
      <Check
        label="The price, fees and extras have the taxes in them"
        checked={structure.taxIncluded ?? false}
        onChange={checked => change(checked ? withTaxIncluded : withTaxAdded)}
      />
      {taxes.map((_, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a line has no other identity than its place.
        <div key={index} className="rounded-field bg-base-200 p-2.5">
          <div className="grid grid-cols-2 gap-x-3 gap-y-2">
            <FigureField field={`taxes/${index}/name`} shortLabel="Name" />
            <TaxEditor index={index} />
          </div>
          {taxes.length > 1 && (
            <button
              type="button"
              className="btn btn-sm mt-2 bg-base-100"
              onClick={() => takeOut("taxes", index)}
            >
              Remove
            </button>
          )}
        </div>
      ))}
      {taxes.length < MOST_TAXES && (
        <button
          type="button"
          className="cursor-pointer justify-self-start font-semibold text-primary text-sm"
          onClick={() => add("taxes", { name: "Another tax", rate: "0", on: ["price"] })}
        >
          + another tax
        </button>
      )}
    </div>
  );
}
