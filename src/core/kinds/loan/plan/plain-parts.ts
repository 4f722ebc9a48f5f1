import type { Figure } from "../../../result";

/** A part of a plan that is one figure. */
type PlainPart = {
  unit: "money" | "payments" | "percent";
  /** What it is called where it is typed. */
  label: string;
  /** What it is called where it is added and taken out. */
  part: string;
  /** What it is called where it cannot be read, if that is another name. */
  named?: string;
  /** What stands there once it is added. */
  asAdded: string | number;
  /** What a plan with it is said to have, with its figure as text. */
  words: (figure: string) => string;
};

/**
 * The parts of a plan that are one figure: the one place that knows them. What reads, checks, says and shows a plan goes through this
 * table; what a part makes of the payments is a shape.
 */
export const PLAIN_PARTS = {
  interestOnly: {
    unit: "payments",
    label: "Just interest at first",
    part: "interest-only start",
    asAdded: 6,
    words: count => `just interest on the first ${count} payments`,
  },
  prepaidCharge: {
    unit: "money",
    label: "Charge at signing",
    part: "charge at signing",
    named: "charge paid at signing",
    asAdded: "0",
    words: amount => `charge at signing ${amount}`,
  },
} as const satisfies { [Part in Figure]?: PlainPart };

export type PlainPartName = keyof typeof PLAIN_PARTS;

export const PLAIN_PART_NAMES = Object.keys(PLAIN_PARTS) as PlainPartName[];

/** A part by its name, whichever it is. */
export const plainPartOf = (name: PlainPartName): PlainPart => PLAIN_PARTS[name];
