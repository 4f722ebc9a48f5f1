import type { Answer } from "./client";

/** Why something was not kept. */
export function reasonOf(answer: Exclude<Answer<unknown>, { kind: "done" }>): string {
  return answer.kind === "away" ? "The server is away; try again when it is back." : answer.sentence;
}
