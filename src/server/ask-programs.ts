import type { Store } from "@/data/store";
import type { NeedsRelease, ReleaseAsked } from "@/exchange/releases";
import { askProgramsThread } from "./programs/in-thread";
import type { ProgramsAnswer, ProgramsQuestion } from "./programs/questions";
import { Refusal } from "./refusal";

/** Has a question about programs answered by the thread that does that. */
async function asked<Question extends ProgramsQuestion>(
  question: Question,
): Promise<ProgramsAnswer[Question["ask"]] | "rates"> {
  const answer = await askProgramsThread(question);
  if (answer === undefined) throw new Refusal(503, "This takes too long; ask once more.");
  return answer;
}

type OfFile = Extract<ProgramsQuestion, { ask: "read" }>;
type OfRelease = Extract<ProgramsQuestion, { ask: "release" }>;
type OfRates = Exclude<ProgramsQuestion, OfFile | OfRelease>;
/** A question about the rates as they are kept, without them. */
type Asked<Question> = Question extends OfRates ? Omit<Question, "mark" | "lenders"> : never;

/** Has a file of rates read. */
export async function readRatesFile(question: Omit<OfFile, "ask">): Promise<ProgramsAnswer["read"]> {
  const answer = await asked<OfFile>({ ask: "read", ...question });
  if (answer === "rates") throw new Error("A file is read without rates.");
  return answer;
}

/** What of an option needs a manager's release before it is signed. */
export async function askOfRelease(question: ReleaseAsked): Promise<NeedsRelease[]> {
  const answer = await asked<OfRelease>({ ask: "release", asked: question });
  if (answer === "rates") throw new Error("A release is asked for without rates.");
  return answer;
}

/** Asks about the rates as they are kept: they are sent only where the thread has others. */
export async function askOfRates<Word extends OfRates["ask"]>(
  store: Store,
  question: Asked<Extract<OfRates, { ask: Word }>>,
): Promise<ProgramsAnswer[Word]> {
  const mark = await store.ratesMark();
  const first = await asked({ ...question, mark } as OfRates);
  if (first !== "rates") return first as ProgramsAnswer[Word];
  const again = await asked({ ...question, ...(await store.keptRates()) } as OfRates);
  if (again === "rates") throw new Error("The thread has the rates that were sent along.");
  return again as ProgramsAnswer[Word];
}
