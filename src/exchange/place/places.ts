import type { Locale } from "../notation";

/** The places whose law can count for a deal, by ISO 3166-1. */
export const PLACES = ["US", "CA", "GB", "DE", "IN", "JP"] as const;

export type Place = (typeof PLACES)[number];

export const PLACE_NAMES: Record<Place, string> = {
  US: "United States",
  CA: "Canada",
  GB: "United Kingdom",
  DE: "Germany",
  IN: "India",
  JP: "Japan",
};

/**
 * The place of a way of writing figures: what a file that names no place of its own is of.
 *
 * @example placeOfLocale("fr-CA") // "CA"
 */
export const placeOfLocale = (locale: Locale): Place => locale.slice(-2) as Place;
