type Props = {
  /** Where a line stands, and what it is written as. */
  lines: readonly { y: number; text: string }[];
  left: number;
  right: number;
};

/** The lines of a chart across, each with its amount at the left. */
export function AmountGrid({ lines, left, right }: Props) {
  return lines.map(({ y, text }) => (
    <g key={text}>
      <line x1={left} x2={right} y1={y} y2={y} stroke="var(--color-base-300)" />
      <text x={left - 8} y={y} textAnchor="end" dominantBaseline="middle" className="fill-current text-xs">
        {text}
      </text>
    </g>
  ));
}
