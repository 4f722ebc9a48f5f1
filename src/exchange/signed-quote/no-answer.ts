import type { NoAnswerRecord } from "./signed-quote.schema";

/** An option without an answer, and why. */
export const noAnswer = (optionId: string, sentence: string): NoAnswerRecord => ({
  kind: "none",
  optionId,
  version: 1,
  words: { sentence },
});
