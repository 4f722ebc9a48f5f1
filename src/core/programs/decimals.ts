import { type Decimal, parseDecimal } from "../interest";

const NOTHING: Decimal = { digits: 0, scale: 1 };

/** Thousands of programs say the same few hundred figures. */
const MOST_KEPT = 5000;
const kept = new Map<string, Decimal>();

/** A decimal that was checked before. */
export function decimalOf(text: string): Decimal {
  const known = kept.get(text);
  if (known) return known;
  const read = parseDecimal(text) ?? NOTHING;
  if (kept.size >= MOST_KEPT) kept.clear();
  kept.set(text, read);
  return read;
}

/** Two decimals in one scale. */
function inOneScale(one: Decimal, other: Decimal): { digits: number; others: number; scale: number } {
  const scale = Math.max(one.scale, other.scale);
  return {
    digits: one.digits * (scale / one.scale),
    others: other.digits * (scale / other.scale),
    scale,
  };
}

export function sumOf(one: Decimal, other: Decimal): Decimal {
  const { digits, others, scale } = inOneScale(one, other);
  return { digits: digits + others, scale };
}

export const isAbove = (one: Decimal, other: Decimal): boolean => {
  const { digits, others } = inOneScale(one, other);
  return digits > others;
};

export const lesserOf = (one: Decimal, other: Decimal | null): Decimal =>
  other === null || !isAbove(one, other) ? one : other;

/** The least multiple of a step that is no less; a step of 0 changes nothing. */
export function roundedUpTo(decimal: Decimal, step: Decimal): Decimal {
  const { digits, others, scale } = inOneScale(decimal, step);
  return others === 0 ? decimal : { digits: Math.ceil(digits / others) * others, scale };
}

/** A decimal as it is typed, without zeros at its end. */
export function textOf({ digits, scale }: Decimal): string {
  const places = String(scale).length - 1;
  const text = String(digits).padStart(places + 1, "0");
  const whole = text.slice(0, text.length - places);
  const part = text.slice(text.length - places).replace(/0+$/, "");
  return part ? `${whole}.${part}` : whole;
}
