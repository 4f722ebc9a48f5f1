// A thread that makes and draws papers, so that the one that serves everyone does neither. It stays warm: its fonts are read once.
import { parentPort } from "node:worker_threads";
import { isoDate } from "@/core";
import { dealRecap } from "@/exchange/papers/deal-recap";
import { paperFileName } from "@/exchange/papers/file-name";
import type { Letter } from "@/exchange/papers/letter";
import { makePaper, type PaperQuestion } from "@/exchange/papers/make-paper";
import { ENCLOSED, PAPER_KINDS, PAPER_NAMES, type PaperName } from "@/exchange/papers/paper-kinds";
import { tableWorkbook } from "@/exchange/workbook/table-workbook";
import type { PapersReply } from "../contract";
import { writeXlsx } from "../workbook/write-xlsx";
import { undrawn } from "./fonts";
import type { DrawnPaper, ThreadAnswer, ThreadQuestion } from "./in-thread";
import { writeLetter } from "./write-letter";
import { writePdf } from "./write-pdf";

parentPort?.on("message", async (question: ThreadQuestion) => {
  parentPort?.postMessage(await answerOf(question));
});

async function answerOf(asked: ThreadQuestion): Promise<ThreadAnswer> {
  if (asked.kind === "table") return { table: await writeXlsx(tableWorkbook(asked.table)) };
  if (asked.kind === "recap") {
    const made = dealRecap(asked.question);
    return made.ok ? { recap: await writePdf(made.paper) } : made;
  }
  return asked.kind === "look" ? lookAt(asked.question) : drawnWithAll(asked.question, asked.mark);
}

type Drawn = { bytes: Buffer; enclosed: readonly DrawnPaper[] } | { sentence: string };

async function drawnWithAll(question: PaperQuestion, mark: string | undefined): Promise<ThreadAnswer> {
  const drawn = await drawnOne(question, mark);
  return "sentence" in drawn ? drawn : { name: question.name, ...drawn };
}

async function drawnOne(question: PaperQuestion, mark: string | undefined): Promise<Drawn> {
  const made = makePaper(question);
  if (!made.ok) return made;
  if ("letter" in made) return letterWithAll(made.letter, question);
  if ("workbook" in made) return { bytes: await writeXlsx(made.workbook), enclosed: [] };
  if ("text" in made) return { bytes: Buffer.from(made.text), enclosed: [] };
  const paper = mark === undefined ? made.paper : { ...made.paper, mark };
  return { bytes: await writePdf(paper), enclosed: [] };
}

/** A letter with the papers that it encloses; why there is none where one of them cannot be made. */
async function letterWithAll(letter: Letter, question: PaperQuestion): Promise<Drawn> {
  const enclosed: (DrawnPaper & { bytes: Buffer })[] = [];
  for (const name of letter.enclosed) {
    const drawn = await drawnOne({ ...question, name }, undefined);
    if ("sentence" in drawn) return drawn;
    enclosed.push({ name, bytes: drawn.bytes });
  }
  const customer = question.deal.customer?.name ?? "";
  const files = enclosed.map(({ name, bytes }) => ({
    fileName: paperFileName(name, customer),
    type: PAPER_KINDS[name].type,
    bytes,
  }));
  const bytes = await writeLetter(letter, files, new Date(`${isoDate(question.day)}T00:00:00Z`));
  return { bytes, enclosed };
}

/** Which papers there are not, and what of those that there are no font has. */
function lookAt(question: Omit<PaperQuestion, "name">): PapersReply {
  const none: Partial<Record<PaperName, string>> = {};
  const texts: string[] = [];
  for (const name of PAPER_NAMES) {
    const made = makePaper({ ...question, name, details: { ...question.details, enclosed: ENCLOSED } });
    if (!made.ok) none[name] = made.sentence;
    else if ("paper" in made)
      texts.push(JSON.stringify(made.paper.blocks), made.paper.about, made.paper.title);
  }
  return { none, undrawn: undrawn(texts.join(" ")) };
}
