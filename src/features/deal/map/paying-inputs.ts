import type { DealFile } from "@/exchange/deal-file";
import { type OptionState, optionReducer } from "../option";

/** What was typed of an option, asking for its payment; what it was looking for stays as it was found. */
export const payingInputs = (option: OptionState): DealFile =>
  optionReducer(option, { type: "find", figure: "payment" }).inputs;
