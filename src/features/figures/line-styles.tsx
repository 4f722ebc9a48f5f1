/** How a line of a chart is drawn. */
export type LineStyle = { stroke: string; dash: string | undefined };

/** A colour and a pattern for each place, so that lines are told apart without colour. */
const LINES: readonly LineStyle[] = [
  { stroke: "var(--color-primary)", dash: undefined },
  { stroke: "var(--color-info)", dash: "7 4" },
  { stroke: "var(--color-accent-content)", dash: "2 3" },
  { stroke: "var(--color-secondary)", dash: "10 3 2 3" },
  { stroke: "var(--color-success)", dash: "4 2" },
  { stroke: "var(--color-error)", dash: "1 4" },
  { stroke: "var(--color-warning)", dash: "12 4" },
  { stroke: "var(--color-base-content)", dash: "6 2 1 2 1 2" },
];

/** How the line of an option is drawn, by its place among the options. */
export const lineAt = (index: number): LineStyle => LINES[index % LINES.length] as LineStyle;

/** A piece of a line, beside its name. */
export function Swatch({ line: { stroke, dash } }: { line: LineStyle }) {
  return (
    <svg width={22} height={8} aria-hidden="true" className="inline">
      <line x1={0} x2={22} y1={4} y2={4} stroke={stroke} strokeWidth={2} strokeDasharray={dash} />
    </svg>
  );
}
