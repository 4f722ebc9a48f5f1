// A thread that makes and draws papers, so that the one that serves everyone does neither. It stays warm: its fonts are read once.
import { parentPort } from "node:worker_threads";
import { makePaper, type PaperQuestion } from "@/exchange/papers/make-paper";
import type { PaperAnswer } from "./in-thread";
import { writePdf } from "./write-pdf";

parentPort?.on("message", async (question: PaperQuestion) => {
  parentPort?.postMessage(await answerOf(question));
});

async function answerOf(question: PaperQuestion): Promise<PaperAnswer> {
  const made = makePaper(question);
  if (!made.ok) return { sentence: made.sentence };
  return { bytes: "text" in made ? Buffer.from(made.text) : await writePdf(made.paper) };
}
