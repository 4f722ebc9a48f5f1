export { quotesOf } from "./quotes-of";
