import { inNotation, longDateIn, type Notation } from "../../notation";
import { moneyText } from "../../notation/money-text";
import type { SentenceWriter } from "./segment";

/**
 * How a place writes what stands in a sentence.
 *
 * @example sentenceWriter("USD", notationOf("en-US")).money(4185000) // "$41,850.00"
 */
export const sentenceWriter = (currency: string, notation: Notation): SentenceWriter => ({
  money: minor => moneyText(minor, currency, notation),
  date: day => longDateIn(day, notation),
  say: text => inNotation(text, notation),
});
