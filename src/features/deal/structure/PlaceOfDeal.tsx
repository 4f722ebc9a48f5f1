import { LOCALE_NAMES, LOCALES, type Locale } from "@/exchange/notation";
import { useOption } from "../option/option-context";

/** Where figures are written as in this deal. */
export function PlaceOfDeal() {
  const { option, act } = useOption();
  const { houseLocale, inputs } = option;
  return (
    <select
      aria-label="Formats"
      className="choice-in-words"
      value={inputs.locale ?? ""}
      onChange={event => act({ type: "locale", locale: (event.target.value as Locale) || undefined })}
    >
      <option value="">formats: {LOCALE_NAMES[houseLocale]}</option>
      {LOCALES.map(locale => (
        <option key={locale} value={locale}>
          formats: {LOCALE_NAMES[locale]}
        </option>
      ))}
    </select>
  );
}
