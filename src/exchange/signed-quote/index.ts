export { signQuote } from "./sign";
export type { SignedQuote } from "./signed-quote.schema";
export { readSignedQuote, readSignedQuotes } from "./up-to-date";
