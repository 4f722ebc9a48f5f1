import { FREQUENCY_NAMES, type Frequency, groupedAmount, type KindName } from "@/core";
import { type MapAxis, type MapFigure, percentPlaces, RATE_UNITS } from "@/core/map";
import { amountIn, inNotation, type Notation, spreadsheetAmount } from "@/exchange/notation";
import { rateText } from "@/exchange/text";

const AXES: Record<MapAxis, string> = {
  price: "price",
  down: "cash down",
  allowance: "trade-in allowance",
  yearlyRate: "yearly rate",
  payments: "number of payments",
  balloon: "balloon",
  residual: "residual",
};

/** What of a deal its map is told with. */
export type MapSubject = {
  kind: KindName;
  isPersonal: boolean;
  currency: string;
  frequency: Frequency;
  decimals: number;
};

/** What an axis is called for a deal. */
export function axisName(axis: MapAxis, { isPersonal }: MapSubject): string {
  return axis === "price" && isPersonal ? "amount" : AXES[axis];
}

/** Writes the figures of a map. */
export type MapWriter = {
  /** A value of an axis: "6,000.00", "6.49 %", "72". */
  onAxis: (axis: MapAxis, value: number) => string;
  /** The same at the edge of the map, as short as it can be: "6,000". */
  atEdge: (axis: MapAxis, value: number) => string;
  /** What the map shows at a place: "645.74", "6.4900 %". */
  shown: (figure: MapFigure, value: number) => string;
  /** The same along a line, as short as it can be. */
  alongLine: (figure: MapFigure, value: number) => string;
  /** What an axis is called. */
  axis: (axis: MapAxis) => string;
  /** A value of an axis, and a figure, as a spreadsheet of the place reads it. */
  copied: (axis: MapAxis, value: number) => string;
  copiedFigure: (figure: MapFigure, value: number) => string;
  /** A place in words: "72 payments, 6,000.00 cash down". */
  place: (axis: MapAxis, value: number) => string;
};

export function mapWriter(subject: MapSubject, notation: Notation): MapWriter {
  const { kind, currency, frequency, decimals } = subject;
  const inPercent = (figure: MapFigure) => percentPlaces(figure, kind) !== undefined;
  const money = (minor: number) => amountIn(minor, currency, notation);
  const short = (minor: number) => inNotation(groupedAmount(minor, decimals).replace(/\.0+$/, ""), notation);
  const rate = (value: number) => `${inNotation(rateText(value / RATE_UNITS), notation)} %`;
  const onAxis: MapWriter["onAxis"] = (axis, value) => {
    if (axis === "payments") return String(value);
    return axis === "yearlyRate" ? rate(value) : money(value);
  };
  return {
    onAxis,
    atEdge: (axis, value) =>
      axis === "payments" || axis === "yearlyRate" ? onAxis(axis, value) : short(value),
    shown: (figure, value) =>
      inPercent(figure)
        ? `${inNotation(value.toFixed(percentPlaces(figure, kind)), notation)} %`
        : money(Math.round(value)),
    alongLine: (figure, value) =>
      inPercent(figure) ? `${inNotation(rateText(value), notation)} %` : short(Math.round(value)),
    axis: axis => axisName(axis, subject),
    copied: (axis, value) => {
      if (axis === "payments") return String(value);
      return axis === "yearlyRate"
        ? rateText(value / RATE_UNITS).replace(".", notation.decimal)
        : spreadsheetAmount(value, decimals, notation);
    },
    copiedFigure: (figure, value) =>
      inPercent(figure)
        ? value.toFixed(percentPlaces(figure, kind)).replace(".", notation.decimal)
        : spreadsheetAmount(Math.round(value), decimals, notation),
    place: (axis, value) =>
      axis === "payments"
        ? `${value} ${FREQUENCY_NAMES[frequency].adjective} payments`
        : `${axisName(axis, subject)} ${onAxis(axis, value)}`,
  };
}
