import { type DealDocument, type Named, nameOf, optionOf } from "../deal-document";
import { extraWords } from "../extra-payments/extra-words";
import { AFTER_WORDS, keptInWords } from "../keep-for/keep-for-words";
import { statedWords } from "../match/stated-words";
import { PLACE_NAMES } from "../place/places";
import { fileWriter, typedAmountText } from "../text";
import { figuresInWords, type WordedFigure } from "./figures-in-words";
import { proposedNames } from "./proposed-names";

/** One thing that changed, in words. */
export type WordedChange = {
  /** What the option is called that it changed in; left out where the deal has but one. */
  option?: string;
  figure: string;
  /** Empty where there was nothing. */
  from: string;
  /** Empty where it was taken out. */
  to: string;
};

/** What changed from one state of a deal to another, figure by figure; nothing is computed. */
export function changesInWords(before: DealDocument, after: DealDocument): WordedChange[] {
  const [former, present] = [calledOptions(before), calledOptions(after)];
  return [
    ...otherOfOneName("customer", before.customer, after.customer),
    ...otherOfOneName("vehicle or purpose", before.vehicle, after.vehicle),
    ...differences(headingWords(before), headingWords(after)),
    ...after.options.flatMap(option =>
      optionOf(before, option.id) ? [] : { figure: "option", from: "", to: present(option.id) },
    ),
    ...before.options.flatMap(option =>
      optionOf(after, option.id) ? [] : { figure: "option", from: former(option.id), to: "" },
    ),
    ...orderWords(before, after, former, present),
    ...after.options.flatMap(option => {
      const earlier = optionOf(before, option.id);
      if (!earlier) return [];
      const changes = [
        ...differences(triedWords(before, option.id), triedWords(after, option.id)),
        ...differences([["name", earlier.name]], [["name", option.name]]),
        ...(earlier.inputs === option.inputs
          ? []
          : differences(figuresInWords(earlier.inputs), figuresInWords(option.inputs))),
      ];
      return after.options.length === 1
        ? changes
        : changes.map(change => ({ option: present(option.id), ...change }));
    }),
  ];
}

/** A change as a phrase: "cash down 3,000.00 → 4,500.00", "72 monthly: price 40,000.00", "balloon removed". */
export function changePhrase({ option, figure, from, to }: WordedChange, withFormer = true): string {
  const where = option ? `${option}: ` : "";
  if (figure === "option") return to ? `option “${to}” added` : `option “${from}” deleted`;
  const name = figure.replace(/^plan: /, "");
  if (to === "") return `${where}${name} ${from && withFormer ? `${from} ` : ""}removed`;
  return `${where}${name} ${from && withFormer ? `${from} → ` : ""}${to}`;
}

/** Another one, which is called the same. */
function otherOfOneName(figure: string, before?: Named, after?: Named): WordedChange[] {
  const isOther = before && after && before.id !== after.id && before.name === after.name;
  return isOther ? [{ figure, from: before.name, to: `another ${after.name}` }] : [];
}

function differences(before: readonly WordedFigure[], after: readonly WordedFigure[]): WordedChange[] {
  const [former, present] = [new Map(before), new Map(after)];
  return [...new Set([...present.keys(), ...former.keys()])].flatMap(figure => {
    const [from = "", to = ""] = [former.get(figure), present.get(figure)];
    return from === to ? [] : { figure, from, to };
  });
}

function headingWords({
  customer,
  vehicle,
  status,
  budget,
  notes,
  place,
  use,
  options,
  asides,
}: DealDocument): WordedFigure[] {
  const { currency } = options[0]?.inputs ?? { currency: "USD" };
  return [
    ["customer", nameOf(customer)],
    ["vehicle or purpose", nameOf(vehicle)],
    ["status", status],
    ["budget", budget === undefined ? "" : typedAmountText(budget, currency)],
    ["notes", notes === undefined ? "" : shortened(notes)],
    ["place whose law counts", place === undefined ? "" : PLACE_NAMES[place]],
    ["for", use === undefined ? "" : `${use} use`],
    ["return elsewhere", returnWords(asides?.return)],
    ...(asides?.keepFor ? keptInWords(asides.keepFor, fileWriter(currency)) : []),
  ];
}

/** "4.2 % a year, 25 % of it taxed away". */
function returnWords(earns: NonNullable<DealDocument["asides"]>["return"]): string {
  if (!earns) return "";
  const { rate, tax = "0" } = earns;
  return `${rate} % a year${Number(tax) > 0 ? `, ${tax} % of it taxed away` : ""}`;
}

/** What is tried on an option and never agreed. */
function triedWords(document: DealDocument, id: string): WordedFigure[] {
  const { early, after, theirs } = document.asides?.options?.[id] ?? {};
  const { currency = "USD" } = optionOf(document, id)?.inputs ?? {};
  return [
    ["extra payments tried", early ? extraWords(early, fileWriter(currency)).join("; ") : ""],
    ["their figures", theirs ? statedWords(theirs, fileWriter(currency)) : ""],
    ["after its end", after ? AFTER_WORDS[after] : ""],
  ];
}

const LONGEST_SAID = 80;

/** Notes as they are said: the newest lines come last. */
function shortened(notes: string): string {
  const line = notes.trim().replace(/\s*\n\s*/g, " / ");
  return line.length <= LONGEST_SAID ? line : `… ${line.slice(-LONGEST_SAID)}`;
}

/** What options are called by their ids; told apart only where a change names one. */
type Called = (id: string) => string;

function calledOptions({ options }: DealDocument): Called {
  let names: readonly string[] | undefined;
  return id => {
    names ??= proposedNames(options);
    return names[options.findIndex(option => option.id === id)] ?? "";
  };
}

function orderWords(
  before: DealDocument,
  after: DealDocument,
  former: Called,
  present: Called,
): WordedChange[] {
  const changes: WordedChange[] = [];
  const ids = (one: DealDocument, other: DealDocument) =>
    one.options.flatMap(({ id }) => (optionOf(other, id) ? id : [])).join();
  if (ids(before, after) !== ids(after, before)) {
    changes.push({
      figure: "order",
      from: "",
      to: after.options.map(({ id }) => present(id)).join(" · "),
    });
  }
  if (before.chosen !== after.chosen) {
    changes.push({
      figure: "chosen",
      from: former(before.chosen),
      to: present(after.chosen),
    });
  }
  return changes;
}
