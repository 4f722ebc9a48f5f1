// Prices deal files from the command line: one file with its table, or many deals as lines of JSON.
import { readFile } from "node:fs/promises";
import { isMainThread, parentPort } from "node:worker_threads";
import { priceFile } from "@/exchange/answers/price-file";
import { type Lines, priceLines } from "./price-lines";
import { priceMany } from "./price-many";

const USAGE = "Usage: npm run --silent quote -- FILE, or -- --many FILE.ndjson [--schedule]";
const BAD_INPUT = 2;

async function priceOne(path: string): Promise<void> {
  const priced = priceFile(await readFile(path, "utf8"), true);
  if (!priced.ok) return refuse(`${path}: ${priced.sentence}`);
  process.stdout.write(`${JSON.stringify(priced.answer, null, 2)}\n`);
}

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

async function main(args: string[]): Promise<void> {
  const many = args.includes("--many");
  const withSchedule = args.includes("--schedule");
  const unknown = args.find(arg => arg.startsWith("--") && arg !== "--many" && arg !== "--schedule");
  const [path, ...rest] = args.filter(arg => !arg.startsWith("--"));
  if (unknown || !path || rest.length > 0)
    return refuse(unknown ? `${unknown} is not known. ${USAGE}` : USAGE);
  try {
    await (many ? priceMany(path, withSchedule, write) : priceOne(path));
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code === "ENOENT") return refuse(`${path} does not exist.`);
    if (code === "EISDIR" || code === "EACCES") return refuse(`${path} cannot be read as a file.`);
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
