// Prices deal files from the command line: one file with its table, or many deals as lines of JSON.
import { readFile } from "node:fs/promises";
import { parseArgs } from "node:util";
import { isMainThread, parentPort } from "node:worker_threads";
import { parseIsoDate } from "@/core";
import { priceFile } from "@/exchange/answers/price-file";
import { MOST_OPTIONS } from "@/exchange/deal-document";
import { DEFAULT_LOCALE, notationOf } from "@/exchange/notation";
import { programsOf, type ReadRates, readRatesJson } from "@/exchange/rates/read-rates";
import { readRatesCsv } from "@/exchange/rates/read-rates-csv";
import { type Lines, priceLines } from "./price-lines";
import { priceMany } from "./price-many";
import { workbookOf } from "./workbook-of";

const USAGE =
  "Usage: npm run --silent quote -- FILE [--option N] [--rates FILE] [--xlsx FILE], or -- --many FILE.ndjson [--schedule] [--option N]";
const BAD_INPUT = 2;

async function priceOne(path: string, option: number | undefined, rates: string | undefined): Promise<void> {
  const today = parseIsoDate(new Date().toISOString().slice(0, 10)) ?? 0;
  const read = rates === undefined ? undefined : readRates(await readFile(rates, "utf8"), rates, today);
  if (read && !read.ok) return refuse(read.sentences.map(sentence => `${rates}: ${sentence}`).join("\n"));
  const offered = read && { programs: programsOf(read.lenders), today };
  const priced = priceFile(await readFile(path, "utf8"), true, option, offered);
  if (!priced.ok) return refuse(`${path}: ${priced.sentence}`);
  process.stdout.write(`${JSON.stringify(priced.answer, null, 2)}\n`);
}

/** A file of rates: CSV where it is called so, else JSON. */
const readRates = (text: string, path: string, today: number): ReadRates =>
  path.toLowerCase().endsWith(".csv")
    ? readRatesCsv(text, { notation: notationOf(DEFAULT_LOCALE), today })
    : readRatesJson(text);

/** Waits for a slow reader, so that memory stays flat. */
function write(text: string | Uint8Array): Promise<void> {
  return new Promise((resolve, reject) =>
    process.stdout.write(text, error => (error ? reject(error) : resolve())),
  );
}

function refuse(sentence: string): void {
  process.stderr.write(`${sentence}\n`);
  process.exitCode = BAD_INPUT;
}

/** What stands on the command line, or one sentence with what is wrong. */
function readArguments(args: string[]) {
  try {
    const { values, positionals } = parseArgs({
      args,
      allowPositionals: true,
      options: {
        many: { type: "boolean", default: false },
        schedule: { type: "boolean", default: false },
        option: { type: "string" },
        rates: { type: "string" },
        xlsx: { type: "string" },
      },
    });
    const [path, ...rest] = positionals;
    if (!path || rest.length > 0) return USAGE;
    const { many, schedule, option, rates, xlsx } = values;
    if (many && (xlsx !== undefined || rates !== undefined)) return USAGE;
    if (option !== undefined && !/^[1-8]$/.test(option)) {
      return `--option is ${option}; it must be the number of an option, from 1 to ${MOST_OPTIONS}.`;
    }
    return { path, many, schedule, option: option === undefined ? undefined : Number(option), rates, xlsx };
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (!code?.startsWith("ERR_PARSE_ARGS")) throw error;
    const unknown = /'(--?[^' =]*)/.exec((error as Error).message)?.[1];
    return unknown && !["--many", "--schedule", "--option", "--rates", "--xlsx"].includes(unknown)
      ? `${unknown} is not known. ${USAGE}`
      : USAGE;
  }
}

async function main(args: string[]): Promise<void> {
  const asked = readArguments(args);
  if (typeof asked === "string") return refuse(asked);
  const { path, many, schedule: withSchedule, option, rates, xlsx } = asked;
  try {
    if (xlsx !== undefined) {
      const problem = await workbookOf(await readFile(path, "utf8"), xlsx, option);
      return problem === undefined ? undefined : refuse(`${path}: ${problem}`);
    }
    await (many ? priceMany(path, { withSchedule, option }, write) : priceOne(path, option, rates));
  } catch (error) {
    const { code, path: named = path } = error as NodeJS.ErrnoException;
    if (code === "ENOENT") return refuse(`${named} does not exist.`);
    if (code === "EISDIR" || code === "EACCES") return refuse(`${named} cannot be read as a file.`);
    throw error;
  }
}

/** As one of the threads of {@link priceMany}: prices what it is sent. */
function serveLines(): void {
  parentPort?.on("message", (lines: Lines) => {
    const answers = priceLines(lines);
    parentPort?.postMessage(answers, [answers.buffer]);
  });
}

// A reader such as `head` that has seen enough closes the pipe: not an error.
process.stdout.on("error", error => {
  if ((error as NodeJS.ErrnoException).code === "EPIPE") process.exit(0);
  throw error;
});
if (isMainThread) await main(process.argv.slice(2));
else serveLines();
