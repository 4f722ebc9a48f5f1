import type { CostLines, FirstTie, Kept, KeptWay, Ties } from "@/core/horizon";
import { staysCheaperFrom } from "@/core/horizon";
import type { Segment } from "../kinds/kind/segment";

/** How what stands in the sentences is written. */
type TieWriter = { money: (minor: number) => string; number: (text: string) => string };

type Sentence = readonly Segment<never>[];

/** Two ways, and what is said of where they tie. */
type TieTold = { way: KeptWay; sentences: Sentence[] };

const HUNDREDTHS = 100;
const RETURN_DECIMALS = 4;
const UNIT_NAMES: Record<string, string> = { mi: "miles", km: "km" };

/** A unit of distance in a sentence. */
export const unitName = (unit: string): string => UNIT_NAMES[unit] ?? unit;

/**
 * Where each way ties with the one that the others are set against, and from when on which of the two costs less.
 *
 * @param nameOf what a way is called
 * @param unit of distance
 */
export function tiesInWords(
  { kept, lines }: { kept: Kept; lines: CostLines },
  nameOf: (way: KeptWay) => string,
  unit: string,
  write: TieWriter,
): TieTold[] {
  const own = kept.ways[kept.against] as KeptWay;
  return kept.ways.flatMap((way, index) => {
    const ties = kept.ties[index];
    if (!ties) return [];
    const sentences = [
      valueSentence(ties, bothAreSold(way, own), write),
      returnSentence(ties, write),
      ...(ties.distance === undefined ? [] : [distanceSentence(ties.distance, unit, write)]),
      ...lengthSentences(lines, [way, own], nameOf),
    ];
    return [{ way, sentences }];
  });
}

const bothAreSold = (...ways: KeptWay[]) =>
  ways.every(({ how }) => how !== "returned" && how !== "handedBack" && how !== "endedEarly");

function valueSentence({ value }: Ties, areSold: boolean, { money }: TieWriter): Sentence {
  if (value) return [`They ${tying(value)} if it is worth `, { strong: money(value.at) }, "."];
  return [areSold ? "What it is worth moves both alike." : "At no value do they tie."];
}

function returnSentence({ yearlyReturn }: Ties, { number }: TieWriter): Sentence {
  return yearlyReturn === null
    ? ["At no return do they tie."]
    : [
        "They tie if money kept earns ",
        { strong: number(`${yearlyReturn.toFixed(RETURN_DECIMALS)} %`.replace("-", "−")) },
        " a year.",
      ];
}

function distanceSentence(distance: FirstTie | null, unit: string, { number }: TieWriter): Sentence {
  if (!distance) return ["At no distance do they tie."];
  const driven = (distance.at / HUNDREDTHS).toLocaleString("en-US", { maximumFractionDigits: 2 });
  return [
    `They ${tying(distance)} if it is driven `,
    { strong: `${number(driven)} ${unitName(unit)}` },
    " a year.",
  ];
}

/** Steps of a cent and of a distance need not meet. */
const tying = ({ isExact }: FirstTie) => (isExact ? "tie" : "pass each other");

function lengthSentences(
  { lines }: CostLines,
  [way, own]: [KeptWay, KeptWay],
  nameOf: (way: KeptWay) => string,
): Sentence[] {
  const lineOf = ({ option, end }: KeptWay) =>
    lines.find(line => line.option === option && line.end === end)?.net ?? [];
  const [one, other] = [lineOf(way), lineOf(own)];
  const isBoth = (cost: number | null, index: number) => cost !== null && (other[index] ?? null) !== null;
  const first = one.findIndex(isBoth) + 1;
  const last = one.findLastIndex(isBoth) + 1;
  if (first === 0) return [];
  const said = (less: string, more: string, from: number | null): Sentence[] => {
    if (from === null) return [];
    return from === first
      ? [[`At every length up to ${last} months ${less} costs less than ${more}.`]]
      : [["From ", { strong: `month ${from}` }, ` on ${less} costs less than ${more}.`]];
  };
  const inWords = (each: KeptWay) => (each.option === null ? "cash" : `“${nameOf(each)}”`);
  const [name, ownName] = [inWords(way), inWords(own)];
  const found = [
    ...said(name, ownName, staysCheaperFrom(one, other)),
    ...said(ownName, name, staysCheaperFrom(other, one)),
  ];
  return found.length > 0 ? found : [[`Neither stays cheaper up to ${last} months.`]];
}
