export { isWholeDeal, namesOf, readFirstVersion, readWholeDeal, type WholeDeal } from "./read-whole-deal";
export { wholeDealOf } from "./whole-deal-of";
