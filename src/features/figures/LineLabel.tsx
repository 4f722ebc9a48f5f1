import { firstCharacters } from "@/exchange/text";

const LONGEST = 26;

/** A name that fits beside a line. */
export const shortName = (name: string): string =>
  name.length > LONGEST ? `${firstCharacters(name, LONGEST - 1)}…` : name;

type Props = { x: number; y: number; stroke: string; children: string };

/** What a line of a chart is called, at its end, over whatever crosses it there. */
export function LineLabel({ x, y, stroke, children }: Props) {
  return (
    <text
      x={x}
      y={y}
      dominantBaseline="middle"
      fill={stroke}
      stroke="var(--color-base-100)"
      strokeWidth={4}
      paintOrder="stroke"
      className="font-semibold text-xs"
    >
      {children}
    </text>
  );
}
