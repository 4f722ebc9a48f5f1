export { type DatedExtra, type Extra, type ExtraEvent, type Extras, extraEvents } from "./extra-events";
