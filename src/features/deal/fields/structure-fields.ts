import type { StructureFigure } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import { amountReader, foundAmount, readAmount, readPercent, typedAmount } from "./amount-text";
import { bad, type Field, good, type Reading, withOptional } from "./field";

/** One field for each line of the structure. */
export const STRUCTURE_FIELDS: Record<StructureFigure, Field> = {
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
  allowance: {
    label: "Trade-in allowance",
    foundAs: ["allowance"],
    read: amountReader((file, amount) => withTradeIn(file, { allowance: amount ?? "0" })),
    show: ({ inputs, quote }) =>
      inputs.find === "allowance"
        ? foundAmount(inputs, quote?.allowance)
        : typedAmount(inputs, inputs.structure.tradeIn?.allowance),
    say: view => STRUCTURE_FIELDS.allowance.show(view) || typedAmount(view.inputs, 0),
  },
  owed: {
    label: "Owed on trade-in",
    read: amountReader((file, amount) => withTradeIn(file, { owed: amount ?? "0" })),
    show: ({ inputs }) => typedAmount(inputs, inputs.structure.tradeIn?.owed),
    say: ({ inputs }) => typedAmount(inputs, inputs.structure.tradeIn?.owed ?? 0),
  },
  down: {
    label: "Cash down",
    finds: "down",
    foundAs: ["down", "downPercent"],
    unit: inputs => (isPercentDown(inputs) ? "%" : undefined),
    read: readDown,
    show: ({ inputs, quote }) => (isDownFound(inputs) ? foundAmount(inputs, quote?.down) : downText(inputs)),
    say: view => {
      const shown = STRUCTURE_FIELDS.down.show(view) || typedAmount(view.inputs, 0);
      return isPercentDown(view.inputs) ? `${shown} %` : shown;
    },
  },
};

function withStructure<Key extends keyof DealFile["structure"]>(
  file: DealFile,
  key: Key,
  value: DealFile["structure"][Key],
): DealFile {
  return { ...file, structure: withOptional(file.structure, key, value) };
}

function withTradeIn(
  file: DealFile,
  change: Partial<NonNullable<DealFile["structure"]["tradeIn"]>>,
): DealFile {
  return withStructure(file, "tradeIn", {
    ...(file.find !== "allowance" && { allowance: "0" }),
    owed: "0",
    ...file.structure.tradeIn,
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
  return "percent" in down ? String(down.percent) : typedAmount(inputs, down.amount);
}

/** Cash down is typed as an amount or a percent; a percent sign makes it a percent wherever it is typed. */
function readDown(text: string, file: DealFile): Reading {
  const put = (down: DealFile["structure"]["down"]) => good(withStructure(file, "down", down));
  const { down } = file.structure;
  const isPercent = down !== undefined && "percent" in down;
  if (text === "") return put(isPercent ? { percent: "0" } : undefined);
  if (isPercent || text.endsWith("%")) {
    const percent = readPercent(text);
    if (percent === undefined || Number(percent) > 100) {
      return bad(`“${text}” is not a percent of the price; type one from 0 to 100, such as 15.`);
    }
    return put({ percent });
  }
  const read = readAmount(text, file.currency);
  return "amount" in read ? put({ amount: read.amount }) : bad(read.sentence);
}
