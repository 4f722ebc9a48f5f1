export { type Checked, checked } from "./checked";
