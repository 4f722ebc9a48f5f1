// Prices deal files from the command line: one file with its table, or many deals as lines of JSON.
import { createReadStream } from "node:fs";
import { readFile } from "node:fs/promises";
import { priceFile } from "@/exchange/answers/price-file";

const USAGE = "Usage: npm run --silent quote -- FILE, or -- --many FILE.ndjson [--schedule]";
const BAD_INPUT = 2;
const CHUNK = 64 * 1024;

async function priceOne(path: string): Promise<void> {
  const priced = priceFile(await readFile(path, "utf8"), true);
  if (!priced.ok) return refuse(`${path}: ${priced.sentence}`);
  process.stdout.write(`${JSON.stringify(priced.answer, null, 2)}\n`);
}

async function priceMany(path: string, withSchedule: boolean): Promise<void> {
  let line = 0;
  const results = (texts: readonly string[]) => {
    let priced = "";
    for (const text of texts) {
      line += 1;
      if (text.trim() !== "") priced += `${resultLine(text, line, withSchedule)}\n`;
    }
    return priced;
  };
  let rest = "";
  for await (const chunk of createReadStream(path, { encoding: "utf8", highWaterMark: CHUNK })) {
    const lines = (rest + chunk).split("\n");
    rest = lines.pop() ?? "";
    await write(results(lines));
  }
  await write(results([rest]));
}

function resultLine(text: string, line: number, withSchedule: boolean): string {
  const priced = priceFile(text, withSchedule);
  return JSON.stringify(priced.ok ? priced.answer : { error: priced.sentence, line });
}

/** Waits for a slow reader, so that memory stays flat. */
function write(text: string): Promise<void> {
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
    await (many ? priceMany(path, withSchedule) : priceOne(path));
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code === "ENOENT") return refuse(`${path} does not exist.`);
    if (code === "EISDIR" || code === "EACCES") return refuse(`${path} cannot be read as a file.`);
    throw error;
  }
}

// A reader such as `head` that has seen enough closes the pipe: not an error.
process.stdout.on("error", error => {
  if ((error as NodeJS.ErrnoException).code === "EPIPE") process.exit(0);
  throw error;
});
await main(process.argv.slice(2));
