/** Where a deal's figures can be written as people there write them, by BCP 47. */
export const LOCALES = ["en-US", "en-CA", "fr-CA", "en-GB", "de-DE", "en-IN", "ja-JP"] as const;

export type Locale = (typeof LOCALES)[number];

export const LOCALE_NAMES: Record<Locale, string> = {
  "en-US": "United States",
  "en-CA": "Canada, English",
  "fr-CA": "Canada, French",
  "en-GB": "United Kingdom",
  "de-DE": "Germany",
  "en-IN": "India",
  "ja-JP": "Japan",
};

/** A house that has not said where it is. */
export const DEFAULT_LOCALE: Locale = "en-US";
