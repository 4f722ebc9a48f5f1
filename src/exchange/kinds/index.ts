export { type DealFile, FILE_KINDS, fileKindOf, type RecordOfQuote, recordKind } from "./kinds";
