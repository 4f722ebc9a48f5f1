import { LONGEST_LINE_NAME } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import { withOptional } from "@/exchange/members";
import { type ListName, linesOf, withLine } from "@/exchange/structure/lines";
import { firstCharacters } from "@/exchange/text";
import { readAmount, readPercent, typedAmount } from "./amount-text";
import { bad, type Field, good } from "./field";

/** A field of one line of a list: "fees/0/amount". */
export type LineFieldName = `${ListName}/${number}/${string}`;

/** What a line is called that has no name of its own. */
const KIND: Record<ListName, string> = {
  taxes: "Tax",
  fees: "Fee",
  extras: "Extra",
  rebates: "Rebate",
  tradeIns: "Trade-in",
  payoffs: "Debt",
};

export type Line = Record<string, string | number | boolean | undefined>;

/** Where a line is kept: how it is read there, and changed. */
type LinePlace = {
  lineAt: (file: DealFile) => Line | undefined;
  put: (file: DealFile, change: Line) => DealFile;
};

const placeIn = (list: ListName, index: number): LinePlace => ({
  lineAt: ({ structure }) => linesOf(structure, list)[index] as Line | undefined,
  put: (file, change) => ({ ...file, structure: withLine(file.structure, list, index, change as never) }),
});

/** What a line is called on the screen: by its name, or by its kind and place. */
export function lineName(file: DealFile, list: ListName, index: number): string {
  const name = placeIn(list, index).lineAt(file)?.name;
  return typeof name === "string" ? name : `${KIND[list]} ${index + 1}`;
}

function amountField({ lineAt, put }: LinePlace, key: string, label: string, isNeeded: boolean): Field {
  return {
    label,
    read: (text, file) => {
      if (text === "") return good(put(file, { [key]: isNeeded ? "0" : undefined }));
      const read = readAmount(text, file.currency);
      return "amount" in read ? good(put(file, { [key]: read.amount })) : bad(read.sentence);
    },
    show: ({ inputs }) => typedAmount(inputs, lineAt(inputs)?.[key] as string | number | undefined),
  };
}

function percentField({ lineAt, put }: LinePlace, key: string, label: string): Field {
  return {
    label,
    unit: () => "%",
    read: (text, file) => {
      const percent = text === "" ? "0" : readPercent(text);
      return percent === undefined || Number(percent) > 100
        ? bad(`“${text}” is not a percent; type one from 0 to 100, such as 6.25.`)
        : good(put(file, { [key]: percent }));
    },
    show: ({ inputs }) => String(lineAt(inputs)?.[key] ?? ""),
  };
}

/** A fee or an extra: an amount, or a percent; a percent sign makes it a percent wherever it is typed. */
function chargeField(place: LinePlace, label: string): Field {
  const amount = amountField(place, "amount", label, true);
  const percent = percentField(place, "percent", label);
  const isPercent = (file: DealFile) => place.lineAt(file)?.percentOf !== undefined;
  return {
    label,
    unit: inputs => (isPercent(inputs) ? "%" : undefined),
    read: (text, file) => {
      if (isPercent(file)) return percent.read(text, file);
      if (!text.endsWith("%")) return amount.read(text, file);
      return percent.read(text, place.put(file, { amount: undefined, percentOf: "loanAmount" }));
    },
    show: view => (isPercent(view.inputs) ? percent.show(view) : amount.show(view)),
  };
}

function nameField({ lineAt, put }: LinePlace, label: string, isNeeded: boolean): Field {
  return {
    label,
    type: "name",
    read: (text, file) => {
      const name = cleanName(text);
      if (name === "" && isNeeded) return bad("Each line has a name, which goes onto papers.");
      return good(put(file, { name: name === "" ? undefined : name }));
    },
    show: ({ inputs }) => String(lineAt(inputs)?.name ?? ""),
  };
}

/** The field of the name of a line that every structure has. */
export type NameOfLineField = `names/${NamedLine}`;
type NamedLine = keyof NonNullable<DealFile["structure"]["names"]>;

function nameOfLine(line: NamedLine): Field {
  return {
    label: `Name of the line: ${line}`,
    type: "name",
    read: (text, file) => {
      const names = withOptional(file.structure.names ?? {}, line, cleanName(text) || undefined);
      const isNamed = Object.keys(names).length > 0;
      return good({
        ...file,
        structure: withOptional(file.structure, "names", isNamed ? names : undefined),
      });
    },
    show: ({ inputs }) => inputs.structure.names?.[line] ?? "",
  };
}

const cleanName = (text: string) => firstCharacters(text.replace(/\p{Cc}/gu, " "), LONGEST_LINE_NAME);

const NAMES = "names/";

/** The field of a line; undefined where no line has it. */
export function lineField(name: string): Field | undefined {
  if (name.startsWith(NAMES)) return nameOfLine(name.slice(NAMES.length) as NamedLine);
  const [list, index, part] = name.split("/") as [ListName, string, string];
  if (!(list in KIND)) return undefined;
  const place = placeIn(list, Number(index));
  const kind = `${KIND[list]} ${Number(index) + 1}`;
  if (part === "name") return nameField(place, `${kind}: name`, list !== "tradeIns");
  if (part === "amount" && (list === "fees" || list === "extras")) return chargeField(place, kind);
  return partField(place, part, kind);
}

/** A part of a line that is kept anywhere; undefined where no line has it. */
export function partField(place: LinePlace, part: string, kind: string): Field | undefined {
  switch (part) {
    case "name":
      return nameField(place, `${kind}: name`, true);
    case "rate":
      return percentField(place, "rate", `${kind}: rate`);
    case "amount":
      return amountField(place, "amount", kind, true);
    case "allowance":
      return amountField(place, "allowance", `${kind}: allowance`, true);
    case "owed":
      return amountField(place, "owed", `${kind}: still owed`, true);
    case "capOn":
      return amountField(place, "capOn", `${kind}: most that is taxed`, false);
    case "cap":
      return amountField(place, "cap", `${kind}: most tax`, false);
    case "tradeInCredit":
      return creditField(place, `${kind}: most trade-in credited`);
    default:
      return undefined;
  }
}

/** The most of a trade-in that is credited; all of it where nothing is typed. */
function creditField({ lineAt, put }: LinePlace, label: string): Field {
  return {
    label,
    read: (text, file) => {
      if (text === "") return good(put(file, { tradeInCredit: true }));
      const read = readAmount(text, file.currency);
      return "amount" in read ? good(put(file, { tradeInCredit: read.amount })) : bad(read.sentence);
    },
    show: ({ inputs }) => {
      const credit = lineAt(inputs)?.tradeInCredit;
      return typeof credit === "boolean" ? "" : typedAmount(inputs, credit);
    },
  };
}
