import { createReadStream } from "node:fs";
import { availableParallelism } from "node:os";
import { Worker } from "node:worker_threads";
import { type Lines, priceLines } from "./price-lines";

const CHUNK = 128 * 1024;
const NEWLINE = 10;
const MOST_THREADS = 8;
/** Chunks in a thread's hands at once: one that it prices and one that waits. */
const CHUNKS_A_THREAD = 2;

/** What is asked of every line. */
type Asked = Pick<Lines, "withSchedule" | "option">;
type Answers = Uint8Array<ArrayBuffer>;

/** What prices chunks of lines: here, or in threads. */
type Pricer = { most: number; price: (lines: Lines) => Promise<Answers>; close: () => void };

/**
 * Prices a file of deal files, a line each, and gives the answers in the same order. The first chunk is priced on this
 * thread, the rest by as many threads as there are cores; only a few chunks are in hand at any time, so that memory
 * stays flat.
 *
 * @param path a file of lines of JSON
 * @param write waits for a slow reader
 */
export async function priceMany(
  path: string,
  how: Asked,
  write: (answers: Answers) => Promise<void>,
): Promise<void> {
  const inHand: Promise<Answers>[] = [];
  let pricer: Pricer | undefined;
  try {
    for await (const lines of chunksOf(path, how)) {
      if (lines.firstLine === 1) {
        // They start while the first chunk is priced here.
        if (lines.bytes.length > CHUNK / 2) pricer = threads();
        await write(priceLines(lines));
        continue;
      }
      pricer ??= threads();
      if (inHand.length >= pricer.most) await write(await (inHand.shift() as Promise<Answers>));
      inHand.push(pricer.price(lines));
    }
    for (const answers of inHand) await write(await answers);
  } finally {
    pricer?.close();
  }
}

/** The file in chunks of whole lines. */
async function* chunksOf(path: string, how: Asked): AsyncGenerator<Lines> {
  let [firstLine, rest] = [1, Buffer.alloc(0)];
  for await (const read of createReadStream(path, { highWaterMark: CHUNK }) as AsyncIterable<Buffer>) {
    const end = read.lastIndexOf(NEWLINE) + 1;
    if (end === 0) {
      rest = Buffer.concat([rest, read]);
      continue;
    }
    const bytes = new Uint8Array(rest.length + end);
    bytes.set(rest);
    bytes.set(read.subarray(0, end), rest.length);
    rest = Buffer.from(read.subarray(end));
    const lines = linesIn(bytes);
    // Whoever takes the chunk takes its bytes away.
    yield { bytes, firstLine, ...how };
    firstLine += lines;
  }
  if (rest.length > 0) yield { bytes: new Uint8Array(rest), firstLine, ...how };
}

function linesIn(bytes: Uint8Array): number {
  let count = 0;
  for (let at = bytes.indexOf(NEWLINE); at >= 0; at = bytes.indexOf(NEWLINE, at + 1)) count += 1;
  return count;
}

/** Threads that run this same program, each with its chunks in their order. */
function threads(): Pricer {
  const count = Math.min(availableParallelism(), MOST_THREADS);
  const workers = Array.from({ length: count }, () => workerThread());
  let turn = 0;
  return {
    most: count * CHUNKS_A_THREAD,
    price: lines => (workers[turn++ % count] as ReturnType<typeof workerThread>).price(lines),
    close: () => {
      for (const { worker } of workers) void worker.terminate();
    },
  };
}

function workerThread() {
  const worker = new Worker(new URL(import.meta.url));
  const waiting: { resolve: (answers: Answers) => void; reject: (error: Error) => void }[] = [];
  worker.on("message", (answers: Answers) => waiting.shift()?.resolve(answers));
  worker.on("error", error => {
    for (const { reject } of waiting) reject(error);
  });
  const price = (lines: Lines) =>
    new Promise<Answers>((resolve, reject) => {
      waiting.push({ resolve, reject });
      worker.postMessage(lines, [lines.bytes.buffer]);
    });
  return { worker, price };
}
