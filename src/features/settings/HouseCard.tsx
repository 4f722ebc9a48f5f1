import { useId, useState } from "react";
import { currencyDecimals } from "@/core";
import { LOCALE_NAMES, LOCALES, type Locale } from "@/exchange/notation";
import { PLACE_NAMES, PLACES, type Place } from "@/exchange/place/places";
import { NEW_DEAL_NAMES, type NewDeal } from "@/exchange/settings";
import { Choice } from "@/features/deal/parts/choices";
import { useAskBeforeLeaving } from "@/features/typing/ask-before-leaving";
import type { House, HouseChange } from "./settings-state";

type Props = { house: House; onChange: (change: HouseChange) => void };

const FORMATS = LOCALES.map((locale): [Locale, string] => [locale, LOCALE_NAMES[locale]]);

/** The places whose law can count, first that none was said. */
const LAWS: [Place | "", string][] = [
  ["", "no place"],
  ...PLACES.map((place): [Place, string] => [place, PLACE_NAMES[place]]),
];

const APPEARANCES = [
  ["system", "same as system"],
  ["light", "light"],
  ["dark", "dark"],
] as const;

const NEW_DEAL_CHOICES = (Object.entries(NEW_DEAL_NAMES) as [NewDeal, string][]).map(
  ([kind, name]): [NewDeal, string] => [kind, name.toLowerCase()],
);

const LONGEST_HOUSE_NAME = 120;

/** Whose house it is, in what money it deals, and how its screens look. */
export function HouseCard({ house, onChange }: Props) {
  return (
    <section aria-labelledby="house-title" className="card-paper px-4 py-3">
      <h2 id="house-title" className="font-semibold text-lg">
        House
      </h2>
      <div className="mt-1 grid grid-cols-2 items-start gap-x-3 gap-y-2 md:grid-cols-3">
        <label className="col-span-2">
          <span className="mb-0.5 block text-faint text-sm">Name</span>
          <input
            className="field"
            value={house.houseName}
            maxLength={LONGEST_HOUSE_NAME}
            autoComplete="off"
            onChange={event => onChange({ houseName: event.target.value.replace(/\p{Cc}/gu, " ") })}
          />
        </label>
        <CurrencyField currency={house.currency} onChange={currency => onChange({ currency })} />
        <div className="col-span-2">
          <Choice
            label="Formats"
            value={house.locale}
            choices={FORMATS}
            onChange={locale => onChange({ locale })}
          />
        </div>
        <Choice
          label="Law of"
          value={house.place ?? ""}
          choices={LAWS}
          onChange={place => onChange({ place: place || undefined })}
        />
        <Choice
          label="A new deal is a"
          value={house.newDeal ?? "vehicleLoan"}
          choices={NEW_DEAL_CHOICES}
          onChange={newDeal => onChange({ newDeal })}
        />
        <Choice
          label="Light or dark"
          value={house.appearance}
          choices={APPEARANCES}
          onChange={appearance => onChange({ appearance })}
        />
      </div>
    </section>
  );
}

type CurrencyProps = { currency: string; onChange: (currency: string) => void };

/** The currency by its code; one that is not known stays in the field, with why. */
function CurrencyField({ currency, onChange }: CurrencyProps) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const isWrong = typed !== null && currencyDecimals(typed) === undefined;
  useAskBeforeLeaving(isWrong);
  return (
    <div>
      <label htmlFor={id} className="mb-0.5 block text-faint text-sm">
        Currency
      </label>
      <input
        id={id}
        className="field"
        value={typed ?? currency}
        maxLength={3}
        autoComplete="off"
        aria-invalid={isWrong}
        aria-describedby={isWrong ? `${id}-error` : undefined}
        onChange={event => {
          const code = event.target.value.toUpperCase();
          setTyped(code);
          if (currencyDecimals(code) !== undefined) onChange(code);
        }}
        onBlur={() => !isWrong && setTyped(null)}
      />
      {isWrong && (
        <p id={`${id}-error`} className="mt-0.5 text-error text-sm leading-tight">
          “{typed}” is not a known currency; type a code of ISO 4217 such as USD.
        </p>
      )}
    </div>
  );
}
