import { formatAmount, isoDate } from "@/core";
import type { Answered, FigureValue, QuotedFigure } from "@/core/kinds/kind";
import { factorText, rateText } from "../../text";

/** What a figure is in a file; undefined where a deal has none, null where there is none to give. */
type FiledFigure = string | number | null | undefined;

/** The figures by their names. A point in a name is a level. */
type Filed<Name extends string> = {
  [Each in Name as Each extends `${infer Group}.${string}` ? Group : Each]: Each extends `${string}.${string}`
    ? Record<string, FiledFigure>
    : FiledFigure;
};

/**
 * An answer as plain JSON with its figures, each by its name: money and rates as decimal strings, dates as ISO 8601.
 *
 * @param others what stands before them and after them, always under the same names; what stands after a figure of its
 *   name takes that one's place
 */
export function figuresJson<
  Name extends string,
  Quote extends { decimals: number },
  Before extends object,
  After extends object,
>(
  figures: Readonly<Record<Name, QuotedFigure<Quote, never>>>,
  answered: Answered<Quote>,
  others: { before: Before; after: (figures: Filed<Name>) => After },
): Before & Omit<Filed<Name>, keyof After> & After {
  const { before } = others;
  const { places, empty } = placesOf(figures, before);
  // An object that has all its members from the start is written several times as fast as one that grows.
  const json: Json = { ...empty };
  put(json, before);
  const { decimals } = answered.quote;
  for (const { figure, group, part } of places) {
    const value = filed(figure.unit, (figure.filed ?? figure.value)(answered as never), decimals);
    json[group] = part === undefined ? value : { ...(json[group] as object), [part]: value };
  }
  put(json, others.after(json as Filed<Name>));
  return json as Before & Filed<Name> & After;
}

function put(json: Json, members: object): void {
  for (const name in members) json[name] = (members as Json)[name];
}

type Json = Record<string, FiledFigure | Record<string, FiledFigure>>;
type AnyFigure = QuotedFigure<never, never>;

/** Where each of a kind's figures stands in a file, and a file's object without any of them. */
type Places = { places: { figure: AnyFigure; group: string; part: string | undefined }[]; empty: Json };

/** What stands after the figures of every kind. */
const AFTER = ["saved", "note", "schedule"];

const known = new WeakMap<object, Places>();

function placesOf(figures: Readonly<Record<string, AnyFigure>>, before: object): Places {
  const there = known.get(figures);
  if (there) return there;
  const places = Object.entries(figures).map(([name, figure]) => {
    const [group = "", part] = name.split(".");
    return { figure, group, part };
  });
  const names = [...Object.keys(before), ...places.map(({ group }) => group), ...AFTER];
  const empty = Object.fromEntries(names.map(name => [name, undefined]));
  // Read as a literal it has a form that copies are quickly made of.
  const made = { places, empty: { ...empty } };
  known.set(figures, made);
  return made;
}

function filed(unit: QuotedFigure<never, never>["unit"], value: FigureValue, decimals: number): FiledFigure {
  if (typeof value !== "number") return value;
  switch (unit) {
    case "money":
      return formatAmount(value, decimals);
    case "percent":
      return rateText(value);
    case "factor":
      return factorText(value);
    case "date":
      return isoDate(value);
    default:
      return value;
  }
}
