import { DEFAULT_LOCALE } from "../notation";
import type { Settings } from "./settings.schema";

/** A house that has settled nothing yet. */
export const DEFAULT_SETTINGS: Settings = {
  format: "kellux-settings",
  version: 1,
  houseName: "",
  currency: "USD",
  locale: DEFAULT_LOCALE,
  appearance: "system",
  plan: { kind: "loan", frequency: "monthly", rounding: "nearest" },
};
