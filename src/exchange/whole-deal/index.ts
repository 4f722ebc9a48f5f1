export { isWholeDeal, namesOf, readWholeDeal, tooNewSentence, type WholeDeal } from "./read-whole-deal";
export { wholeDealOf } from "./whole-deal-of";
