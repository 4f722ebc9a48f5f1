export { type EachExtra, type Extra, extraOn, type OnceExtra, sameExtraUntil } from "./extra";
export {
  type DatedExtra,
  type ExtraEvent,
  type Extras,
  extraEvents,
} from "./extra-events";
export { whenOfExtra } from "./when-of-extra";
