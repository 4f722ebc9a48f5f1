export { definedOnly, withOptional } from "./members";
