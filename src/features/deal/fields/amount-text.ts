import {
  currencyDecimals,
  formatAmount,
  groupedAmount,
  LARGEST_AMOUNT,
  parseAmount,
  parseDecimal,
  wholeText,
} from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import { typedAmountText } from "@/exchange/text";
import { bad, good, type Reading } from "./field";

/** "$", "€ ", "USD ": what may stand before an amount. */
const LEADING_CURRENCY = /^(\p{Sc}|[A-Z]{3})\s*/u;
/** "41,850.00 €": what may stand after it. */
const TRAILING_CURRENCY = /\s*(\p{Sc}|[A-Z]{3})$/u;
/** Thousands apart by commas or spaces. */
const GROUPED = /^\d{1,3}([,\s]\d{3})+(\.\d*)?$/;

/** An amount as people type it, as a plain decimal string; a sentence where it is none. */
export function readAmount(text: string, currency: string): { amount: string } | { sentence: string } {
  const decimals = currencyDecimals(currency) ?? 2;
  const example = decimals === 0 ? "41,850" : `41,850.${"0".repeat(decimals)}`;
  if (/^[-−–(]/.test(text)) {
    return { sentence: "Leave the sign out: each line is added or taken off by itself." };
  }
  const digits = text.replace(LEADING_CURRENCY, "").replace(TRAILING_CURRENCY, "");
  const plain = (GROUPED.test(digits) ? digits.replace(/[,\s]/g, "") : digits).replace(/^\./, "0.");
  const minor = parseAmount(plain, decimals);
  if (minor !== undefined) return { amount: formatAmount(minor, decimals) };
  if (/^\d+\.\d+$/.test(plain) && (plain.split(".")[1] ?? "").length > decimals) {
    return { sentence: `${currency} has ${decimals} decimals; “${text}” has more.` };
  }
  if (/^\d{10,}(\.\d*)?$/.test(plain))
    return { sentence: `The largest amount is ${wholeText(LARGEST_AMOUNT)}.` };
  return { sentence: `“${text}” is not an amount; type one such as ${example}.` };
}

/** Reads an amount and puts it into the deal; nothing typed puts in nothing. */
export function amountReader<File extends DealFile>(
  put: (file: File, amount: string | undefined) => File,
): (text: string, file: File) => Reading<File> {
  return (text, file) => {
    if (text === "") return good(put(file, undefined));
    const read = readAmount(text, file.currency);
    return "amount" in read ? good(put(file, read.amount)) : bad(read.sentence);
  };
}

/** A percent as people type it, as a plain decimal string; undefined where it is none. */
export function readPercent(text: string): string | undefined {
  const plain = text.replace(/\s*%$/, "").replace(/^\./, "0.").replace(/\.$/, "");
  return parseDecimal(plain) ? plain : undefined;
}

/** A found amount in its field; nothing while there is none. */
export function foundAmount({ currency }: Pick<DealFile, "currency">, minor: number | undefined): string {
  return minor === undefined ? "" : groupedAmount(minor, currencyDecimals(currency) ?? 2);
}

/** A typed amount in its field; nothing where none was typed. */
export function typedAmount(
  { currency }: Pick<DealFile, "currency">,
  amount: string | number | undefined,
): string {
  return amount === undefined ? "" : typedAmountText(amount, currency);
}
