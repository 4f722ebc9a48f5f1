import { LONGEST_LINE_NAME } from "@/core";
import { type DealFile, isLease } from "@/exchange/deal-file";
import type { LeaseTaxFile } from "@/exchange/kinds/lease";
import { withOptional } from "@/exchange/members";
import { type ListName, linesOf, withLine } from "@/exchange/structure/lines";
import { firstCharacters } from "@/exchange/text";
import { readAmount, readPercent, typedAmount } from "./amount-text";
import { bad, type Field, good } from "./field";
import { withLeaseTax } from "./lease-taxes";

/** A field of one line of a list: "fees/0/amount". */
export type LineFieldName = `${AnyList}/${number}/${string}`;

/** The lists of a structure, and the taxes of a lease. */
type AnyList = ListName | "leaseTaxes";

/** What a line is called that has no name of its own. */
const KIND: Record<AnyList, string> = {
  leaseTaxes: "Tax",
  taxes: "Tax",
  fees: "Fee",
  extras: "Extra",
  rebates: "Rebate",
  tradeIns: "Trade-in",
  payoffs: "Debt",
};

/** Which figure a failure of the core blames for what a list holds. */
type Place = { list: AnyList; index: number };
type Line = Record<string, string | number | boolean | undefined>;

function lineAt(file: DealFile, { list, index }: Place): Line | undefined {
  const lines = list === "leaseTaxes" ? leaseTaxes(file) : linesOf(file.structure, list);
  return lines[index] as Line | undefined;
}

function put(file: DealFile, { list, index }: Place, change: Line): DealFile {
  if (list !== "leaseTaxes")
    return { ...file, structure: withLine(file.structure, list, index, change as never) };
  return isLease(file)
    ? { ...file, plan: withLeaseTax(file.plan, index, change as Partial<LeaseTaxFile>) }
    : file;
}

const leaseTaxes = (file: DealFile) => (isLease(file) ? (file.plan.taxes ?? []) : []);

/** What a line is called on the screen: by its name, or by its kind and place. */
export function lineName(file: DealFile, list: AnyList, index: number): string {
  const name = lineAt(file, { list, index })?.name;
  return typeof name === "string" ? name : `${KIND[list]} ${index + 1}`;
}

function amountField(place: Place, key: string, label: string, isNeeded: boolean): Field {
  return {
    label,
    read: (text, file) => {
      if (text === "") return good(put(file, place, { [key]: isNeeded ? "0" : undefined }));
      const read = readAmount(text, file.currency);
      return "amount" in read ? good(put(file, place, { [key]: read.amount })) : bad(read.sentence);
    },
    show: ({ inputs }) => typedAmount(inputs, lineAt(inputs, place)?.[key] as string | number | undefined),
  };
}

function percentField(place: Place, key: string, label: string): Field {
  return {
    label,
    unit: () => "%",
    read: (text, file) => {
      const percent = text === "" ? "0" : readPercent(text);
      return percent === undefined || Number(percent) > 100
        ? bad(`“${text}” is not a percent; type one from 0 to 100, such as 6.25.`)
        : good(put(file, place, { [key]: percent }));
    },
    show: ({ inputs }) => String(lineAt(inputs, place)?.[key] ?? ""),
  };
}

/** A fee or an extra: an amount, or a percent; a percent sign makes it a percent wherever it is typed. */
function chargeField(place: Place, label: string): Field {
  const amount = amountField(place, "amount", label, true);
  const percent = percentField(place, "percent", label);
  const isPercent = (file: DealFile) => lineAt(file, place)?.percentOf !== undefined;
  return {
    label,
    unit: inputs => (isPercent(inputs) ? "%" : undefined),
    read: (text, file) => {
      if (isPercent(file)) return percent.read(text, file);
      if (!text.endsWith("%")) return amount.read(text, file);
      return percent.read(text, put(file, place, { amount: undefined, percentOf: "loanAmount" }));
    },
    show: view => (isPercent(view.inputs) ? percent.show(view) : amount.show(view)),
  };
}

function nameField(place: Place, label: string, isNeeded: boolean): Field {
  return {
    label,
    type: "name",
    read: (text, file) => {
      const name = cleanName(text);
      if (name === "" && isNeeded) return bad("Each line has a name, which goes onto papers.");
      return good(put(file, place, { name: name === "" ? undefined : name }));
    },
    show: ({ inputs }) => String(lineAt(inputs, place)?.name ?? ""),
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
  const [list, index, part] = name.split("/") as [AnyList, string, string];
  if (!(list in KIND)) return undefined;
  const place = { list, index: Number(index) };
  const kind = `${KIND[list]} ${place.index + 1}`;
  switch (part) {
    case "name":
      return nameField(place, `${kind}: name`, list !== "tradeIns");
    case "rate":
      return percentField(place, "rate", `${kind}: rate`);
    case "amount":
      return list === "fees" || list === "extras"
        ? chargeField(place, kind)
        : amountField(place, "amount", kind, true);
    case "allowance":
      return amountField(place, "allowance", `${kind}: allowance`, true);
    case "owed":
      return amountField(place, "owed", `${kind}: still owed`, true);
    case "cost":
      return amountField(place, "cost", `${kind}: cost to the dealer`, false);
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
function creditField(place: Place, label: string): Field {
  return {
    label,
    read: (text, file) => {
      if (text === "") return good(put(file, place, { tradeInCredit: true }));
      const read = readAmount(text, file.currency);
      return "amount" in read ? good(put(file, place, { tradeInCredit: read.amount })) : bad(read.sentence);
    },
    show: ({ inputs }) => {
      const credit = lineAt(inputs, place)?.tradeInCredit;
      return typeof credit === "boolean" ? "" : typedAmount(inputs, credit);
    },
  };
}
