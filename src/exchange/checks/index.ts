export { type Checked, checked, checkedAt } from "./checked";
