export { fileReader, type Reader } from "./reader";
export { priceText, writtenOut } from "./written-out";
