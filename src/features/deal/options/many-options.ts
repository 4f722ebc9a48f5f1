// What a deal of several options has beside one of one: it comes in one piece, as its parts are made of the same.
export { OptionChoice } from "./OptionChoice";
export { OptionStrip } from "./OptionStrip";
export { OptionTools } from "./OptionTools";
