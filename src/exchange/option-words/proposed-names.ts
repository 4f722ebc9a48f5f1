import { kindNameOf } from "@/core";
import type { DealFile } from "../deal-file";
import { wordsOf } from "../kinds/words";
import { figuresInWords } from "./figures-in-words";

/** An option to be called: by its own name, or by what differs. */
export type Named = { name: string; inputs: DealFile };

/** What is said of an option by its number of payments already, or does not tell options apart for a customer. */
const NOT_SAID = new Set([
  "number of payments",
  "how often",
  "kind of plan",
  "payment",
  "contract date",
  "first payment",
  "payment rounded",
  "formats",
  "found from",
  "owed on the trade-in",
  "plan: lease",
  "plan: paid",
]);

const USUALLY_SAID = 2;

/** How long and how often it is paid: "72 monthly", "Lease, 36 monthly". */
export const termName = (inputs: DealFile): string => wordsOf(inputs).term(inputs);

/**
 * What each option of a deal is called: its own name where it has one, else how it is paid and what sets it apart from
 * the others.
 *
 * @example proposedNames(options) // ["72 monthly, 3,000.00 down", "60 monthly, 9,000.00 down"]
 */
export function proposedNames(options: readonly Named[]): string[] {
  if (options.length === 1 && options[0]) return [options[0].name || termName(options[0].inputs)];
  const figures = options.map(({ inputs }) => new Map(figuresInWords(inputs)));
  const names = [...new Set(figures.flatMap(each => [...each.keys()]))].filter(name => !NOT_SAID.has(name));
  const taken = new Set<string>();
  return options.map(({ name, inputs }, index) => {
    if (name) return name;
    const differing = names.filter(figure =>
      options.some(
        (other, k) =>
          areCompared(inputs, other.inputs, figure) &&
          figures[k]?.get(figure) !== figures[index]?.get(figure),
      ),
    );
    const phrases = differing.map(figure => phrase(figure, figures[index]?.get(figure)));
    return unused(termName(inputs), phrases, taken);
  });
}

/** A kind has figures of its own, which its name says already. */
function areCompared(one: DealFile, other: DealFile, figure: string): boolean {
  if (kindNameOf(one) === kindNameOf(other)) return true;
  return figure === "price" || figure === "cash down";
}

/** As much of what differs as is usual, and more where another option is already called that. */
function unused(term: string, differing: readonly string[], taken: Set<string>): string {
  for (let said = Math.min(USUALLY_SAID, differing.length); said <= differing.length; said++) {
    const name = [term, ...differing.slice(0, said)].join(", ");
    if (!taken.has(name)) return keep(name, taken);
  }
  const name = [term, ...differing.slice(0, USUALLY_SAID)].join(", ");
  for (let count = 2; ; count++)
    if (!taken.has(`${name} (${count})`)) return keep(`${name} (${count})`, taken);
}

function keep(name: string, taken: Set<string>): string {
  taken.add(name);
  return name;
}

const LISTED = /^(Rebate|Fee|Extra|Tax|Debt|Trade-in) \d+$/;

/** A figure as a name says it: "9,000.00 down", "6.19 %", "Maker's rebate 1,800.00", "no rebate". */
function phrase(name: string, text: string | undefined): string {
  if (name === "cash down") return text === undefined ? "nothing down" : `${text} down`;
  const called = name.replace(/^plan: /, "");
  if (text === undefined) return `no ${called.replace(/ \d+$/, "").toLowerCase()}`;
  if (name === "yearly rate" || name === "plan") return text;
  return LISTED.test(name) ? (text.split(", ")[0] ?? "").replace(": ", " ") : `${called} ${text}`;
}
