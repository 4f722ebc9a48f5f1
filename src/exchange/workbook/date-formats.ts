/** How a place writes dates, as spreadsheets are told. */
const DATE_FORMATS: Record<string, string> = {
  "en-US": "mmm d, yyyy",
  "en-CA": "yyyy-mm-dd",
  "fr-CA": "yyyy-mm-dd",
  "en-GB": "d mmm yyyy",
  "de-DE": "dd.mm.yyyy",
  "en-IN": "d mmm yyyy",
  "ja-JP": "yyyy/mm/dd",
};

export const dateFormatOf = (locale: string): string => DATE_FORMATS[locale] ?? "yyyy-mm-dd";
