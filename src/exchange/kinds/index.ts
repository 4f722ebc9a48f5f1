export { type DealFile, FILE_KINDS, fileKindOf, type RecordOfQuote } from "./kinds";
