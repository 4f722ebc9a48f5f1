import { type Result, success } from "@/core";
import { answerFreeQuestion } from "./free-questions";
import type { FreeQuestion } from "./questions.schema";

export type { QuestionFile } from "./questions.schema";

/** Answers every question of a file in its order; the first that has no answer says so for all. */
export function answerAll<Question>(
  questions: readonly Question[],
  answer: (question: Question) => Result<object>,
): Result<object[]> {
  const answers: object[] = [];
  for (const [index, question] of questions.entries()) {
    const answered = answer(question);
    if (!answered.ok) {
      const { failure } = answered;
      return { ok: false, failure: { ...failure, sentence: `Question ${index + 1}: ${failure.sentence}` } };
    }
    answers.push(answered.value);
  }
  return success(answers);
}

/** Answers the questions of a file without a deal. */
export function answerFreeQuestions(questions: readonly FreeQuestion[], currency: string): Result<object[]> {
  return answerAll(questions, question => answerFreeQuestion(question, currency));
}
