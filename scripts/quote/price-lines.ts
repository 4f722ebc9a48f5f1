import { priceFile } from "@/exchange/answers/price-file";

/** Some whole lines of a file: UTF-8, and the number of the first of them. */
export type Lines = {
  bytes: Uint8Array<ArrayBuffer>;
  firstLine: number;
  withSchedule: boolean;
  option?: number | undefined;
};

const reader = new TextDecoder();
const writer = new TextEncoder();

/**
 * Prices lines of deal files, and writes an answer on a line of its own for each: what it comes to, or the reason why
 * there is none with the number of its line. Empty lines have no answer.
 */
export function priceLines({ bytes, firstLine, withSchedule, option }: Lines): Uint8Array<ArrayBuffer> {
  let answers = "";
  for (const [k, text] of reader.decode(bytes).split("\n").entries()) {
    if (text.trim() !== "") answers += `${answerLine(text, firstLine + k, withSchedule, option)}\n`;
  }
  return writer.encode(answers);
}

function answerLine(text: string, line: number, withSchedule: boolean, option: number | undefined): string {
  const priced = priceFile(text, withSchedule, option);
  return JSON.stringify(priced.ok ? priced.answer : { error: priced.sentence, line });
}
