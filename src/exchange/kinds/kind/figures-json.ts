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
 * The figures of an answer as plain JSON, each by its name: money and rates as decimal strings, dates as ISO 8601.
 */
export function figuresJson<Name extends string, Quote extends { decimals: number }>(
  figures: Readonly<Record<Name, QuotedFigure<Quote, never>>>,
  answered: Answered<Quote>,
): Filed<Name> {
  const json: Record<string, FiledFigure | Record<string, FiledFigure>> = {};
  for (const [name, figure] of Object.entries<QuotedFigure<Quote, never>>(figures)) {
    const value = filed(figure.unit, (figure.filed ?? figure.value)(answered), answered.quote.decimals);
    const [group, part] = name.split(".") as [string, string?];
    json[group] = part === undefined ? value : { ...(json[group] as object), [part]: value };
  }
  return json as Filed<Name>;
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
