export { type Extra, type ExtraEvent, extraEvents } from "./extra-events";
