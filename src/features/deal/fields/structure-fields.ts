import { AMOUNT_LINE_NAMES, AMOUNT_LINES, type AmountLineName, LONGEST_LINE_NAME } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import { withOptional } from "@/exchange/members";
import type { StructureFile } from "@/exchange/structure";
import { linesOf, withLine } from "@/exchange/structure/lines";
import { firstCharacters } from "@/exchange/text";
import { amountReader, foundAmount, readAmount, readPercent, typedAmount } from "./amount-text";
import { bad, type Field, good, type Reading } from "./field";

const DOWN_UNIT = {
  amount: "",
  percent: " %",
  percentOfTotal: " % of price, tax, fees and extras",
  dueAtSigning: " due at signing",
};

export type StructureFieldName = "price" | "purpose" | "allowance" | "owed" | "down" | AmountLineName;

/** A line that is one amount. Cleared, its line stays to be typed in again; a button takes it out. */
const amountField = (line: AmountLineName): Field => ({
  label: nameOfAmountLine(line),
  read: amountReader((file, amount) =>
    withStructure(file, line, amount ?? (file.structure[line] === undefined ? undefined : "0")),
  ),
  show: ({ inputs }) => typedAmount(inputs, inputs.structure[line]),
});

const AMOUNT_FIELDS = Object.fromEntries(AMOUNT_LINE_NAMES.map(line => [line, amountField(line)])) as Record<
  AmountLineName,
  Field
>;

/** What a line that is one amount is called, unless it is given another name: "Deposit paid". */
export function nameOfAmountLine(line: AmountLineName): string {
  const { name } = AMOUNT_LINES[line];
  return name.charAt(0).toUpperCase() + name.slice(1);
}

/** The fields of lines that every structure has; those of its lists are in line-fields. */
export const STRUCTURE_FIELDS: Record<StructureFieldName, Field> = {
  price: {
    label: "Price",
    finds: "price",
    foundAs: ["price"],
    read: amountReader((file, price) => withStructure(file, "price", price)),
    show: ({ inputs, quote }) =>
      inputs.find === "price" || (inputs.from && inputs.structure.price === undefined)
        ? foundAmount(inputs, quote?.price)
        : typedAmount(inputs, inputs.structure.price),
  },
  purpose: {
    label: "Purpose",
    type: "name",
    read: (text, file) => {
      if (text !== "") return good(withStructure(file, "purpose", firstCharacters(text, LONGEST_LINE_NAME)));
      return file.structure.purpose === undefined
        ? good(file)
        : bad("A personal loan has a purpose; name it.");
    },
    show: ({ inputs }) => inputs.structure.purpose ?? "",
  },
  allowance: {
    label: "Trade-in allowance",
    finds: "allowance",
    foundAs: ["allowance"],
    read: amountReader((file, amount) => withFirstTradeIn(file, "allowance", amount)),
    show: ({ inputs, quote }) => {
      const first = linesOf(inputs.structure, "tradeIns")[0];
      return inputs.find === "allowance" && first?.allowance === undefined
        ? foundAmount(inputs, quote?.allowance)
        : typedAmount(inputs, first?.allowance);
    },
    say: view => STRUCTURE_FIELDS.allowance.show(view) || typedAmount(view.inputs, 0),
  },
  owed: {
    label: "Owed on trade-in",
    read: amountReader((file, amount) => withFirstTradeIn(file, "owed", amount)),
    show: ({ inputs }) => typedAmount(inputs, linesOf(inputs.structure, "tradeIns")[0]?.owed),
    say: ({ inputs }) => typedAmount(inputs, linesOf(inputs.structure, "tradeIns")[0]?.owed ?? 0),
  },
  ...AMOUNT_FIELDS,
  down: {
    label: "Cash down",
    finds: "down",
    foundAs: ["down", "downPercent"],
    unit: inputs => (isPercentDown(inputs) ? "%" : undefined),
    read: readDown,
    show: ({ inputs, quote }) => (isDownFound(inputs) ? foundAmount(inputs, quote?.down) : downText(inputs)),
    say: view => {
      const shown = STRUCTURE_FIELDS.down.show(view) || typedAmount(view.inputs, 0);
      return `${shown}${DOWN_UNIT[downKind(view.inputs)]}`;
    },
  },
};

function withStructure<Key extends keyof StructureFile>(
  file: DealFile,
  key: Key,
  value: StructureFile[Key],
): DealFile {
  return { ...file, structure: withOptional(file.structure, key, value) };
}

/** The first trade-in changed. A structure without a list of them keeps its one outside, as in files of before. */
function withFirstTradeIn(file: DealFile, part: "allowance" | "owed", amount: string | undefined): DealFile {
  const { structure } = file;
  const change = { [part]: amount ?? "0" };
  if (structure.tradeIns) return { ...file, structure: withLine(structure, "tradeIns", 0, change) };
  if (amount === undefined && structure.tradeIn === undefined) return file;
  return withStructure(file, "tradeIn", {
    ...(file.find !== "allowance" && { allowance: "0" }),
    owed: "0",
    ...structure.tradeIn,
    ...change,
  });
}

function isDownFound({ find }: DealFile): boolean {
  return find === "down" || find === "downPercent";
}

/** Whether the cash down is given as a percent. */
export function isPercentDown(inputs: DealFile): boolean {
  const { down } = inputs.structure;
  return !isDownFound(inputs) && down !== undefined && "percent" in down;
}

function downText(inputs: DealFile): string {
  const { down } = inputs.structure;
  if (down === undefined) return "";
  if ("percent" in down) return String(down.percent);
  return typedAmount(inputs, "amount" in down ? down.amount : down.dueAtSigning);
}

/** How the cash down is given. */
export type DownKind = "amount" | "percent" | "percentOfTotal" | "dueAtSigning";

/** How the cash down is given; an amount where there is none. */
export function downKind({ structure: { down } }: DealFile): DownKind {
  if (down === undefined || "amount" in down) return "amount";
  if ("dueAtSigning" in down) return "dueAtSigning";
  return down.of === "total" ? "percentOfTotal" : "percent";
}

/** Cash down is typed as an amount or a percent; a percent sign makes it a percent wherever it is typed. */
function readDown(text: string, file: DealFile): Reading {
  const put = (down: StructureFile["down"]) => good(withStructure(file, "down", down));
  const kind = downKind(file);
  const of = kind === "percentOfTotal" ? { of: "total" as const } : {};
  const isPercent = kind === "percent" || kind === "percentOfTotal";
  if (text === "") return put(isPercent ? { percent: "0", ...of } : undefined);
  if (isPercent || text.endsWith("%")) {
    const percent = readPercent(text);
    if (percent === undefined || Number(percent) > 100) {
      return bad(`“${text}” is not a percent of the price; type one from 0 to 100, such as 15.`);
    }
    return put({ percent, ...of });
  }
  const read = readAmount(text, file.currency);
  if (!("amount" in read)) return bad(read.sentence);
  return put(kind === "dueAtSigning" ? { dueAtSigning: read.amount } : { amount: read.amount });
}
