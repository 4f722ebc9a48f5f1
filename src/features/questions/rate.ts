import { convertRate, FREQUENCY_NAMES, type Frequency, type NominalCompounding, type RateKind } from "@/core";
import type { FreeQuestion } from "@/exchange/questions/questions.schema";
import { factorText, rateText } from "@/exchange/text";

/** A rate as it is typed, with how it is stated, and how it is to be. */
export type RateAsked = { text: string; from: StatedAs; to: StatedAs; payments: string };

/** A way to state a rate, as one word of a list: a kind, with how often where it needs it. */
type StatedAs =
  | `nominal ${NominalCompounding}`
  | "effective"
  | `periodic ${Frequency}`
  | "continuous"
  | "moneyFactor"
  | `flat ${Frequency}`;

const TIMES: readonly (readonly [NominalCompounding, string])[] = [
  ["daily", "daily"],
  ["weekly", "weekly"],
  ["monthly", "monthly"],
  ["quarterly", "quarterly"],
  ["halfYearly", "twice a year"],
  ["yearly", "once a year"],
];
const FREQUENCIES = Object.keys(FREQUENCY_NAMES) as Frequency[];

/** Every way, in words that say what elsewhere has to be known. */
export const WAYS: readonly (readonly [StatedAs, string])[] = [
  ...TIMES.map(([each, words]) => [`nominal ${each}`, `a year, added ${words}`] as const),
  ["effective", "that a whole year adds (effective)"],
  ["continuous", "a year, added without pause"],
  ...FREQUENCIES.map(each => [`periodic ${each}`, `that one ${FREQUENCY_NAMES[each].period} adds`] as const),
  ["moneyFactor", "as a lease's money factor"],
  ...FREQUENCIES.map(
    each =>
      [
        `flat ${each}`,
        `a year on the first amount (flat), ${FREQUENCY_NAMES[each].adjective} payments`,
      ] as const,
  ),
];

/** A way as the core has it. */
export function kindOf(stated: StatedAs, payments: number): RateKind {
  const [kind, often = ""] = stated.split(" ");
  switch (kind) {
    case "nominal":
      return { kind, compounding: often as NominalCompounding };
    case "periodic":
      return { kind, frequency: often as Frequency };
    case "flat":
      return { kind, frequency: often as Frequency, payments };
    default:
      return { kind: kind as "effective" };
  }
}

export const isFlat = (stated: StatedAs): boolean => stated.startsWith("flat");

/** A rate as it is written: a factor, or a percent. */
export const statedText = (figure: number, stated: StatedAs): string =>
  stated === "moneyFactor" ? factorText(figure) : rateText(figure);

/** A rate in every other way that needs no more than the rate, for a table beside the answer. */
export function otherWays(figure: number, from: RateKind): { words: string; text: string }[] {
  const shown: readonly StatedAs[] = [
    "nominal monthly",
    "nominal yearly",
    "effective",
    "continuous",
    "periodic monthly",
    "moneyFactor",
  ];
  return shown.flatMap(stated => {
    const converted = convertRate(figure, from, kindOf(stated, 0));
    const words = WAYS.find(([each]) => each === stated)?.[1] ?? "";
    if (!converted.ok) return [];
    const text = statedText(converted.value, stated);
    return [{ words, text: stated === "moneyFactor" ? text : `${text} %` }];
  });
}

/** What is asked, as it is filed. */
export function rateQuestion(figure: string, from: RateKind, to: RateKind): FreeQuestion {
  return { ask: "rate", figure, from, to } as FreeQuestion;
}

/** What a filed question asks, as it is typed. */
export function rateAskedOf({ figure, from, to }: Extract<FreeQuestion, { ask: "rate" }>): RateAsked {
  const stated = (kind: typeof from): StatedAs => {
    if ("compounding" in kind) return `nominal ${kind.compounding}`;
    if ("frequency" in kind) return `${kind.kind} ${kind.frequency}` as StatedAs;
    return kind.kind as StatedAs;
  };
  const flat = [from, to].find(kind => kind.kind === "flat");
  return {
    text: String(figure),
    from: stated(from),
    to: stated(to),
    payments: flat && "payments" in flat ? String(flat.payments) : "60",
  };
}
