export { fileReader, type Reader } from "./reader";
