import type { StatedFile } from "@/exchange/match/match.schema";
import { matchSentence, textOf } from "@/exchange/match/match-words";
import { statedWords } from "@/exchange/match/stated-words";
import { workingWords } from "@/exchange/match/working-words";
import { fileWriter } from "@/exchange/text";
import type { Told } from "./MatchBody";

/** What was found as a note: what they say, where it comes from, and the working; in plain notation. */
export function noteText(told: Told, file: StatedFile): string {
  const { matched, of } = told;
  const says = `They say: ${statedWords(file, fileWriter(of.currency))}.`;
  return [says, textOf(matchSentence(matched, of)), workingWords(matched, told.way, told.quote)]
    .filter(Boolean)
    .join(" ");
}
