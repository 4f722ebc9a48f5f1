import { type DealFile, knownWords } from "@/exchange/deal-file";
import { useLoan, useNotation } from "../option/option-context";

/** Where a deal file finds its figure from a result: which one. */
export function GivenResult({ from }: { from: NonNullable<DealFile["from"]> }) {
  const { option } = useLoan();
  const { say } = useNotation();
  return <span className="text-faint">{say(knownWords(from, option.inputs.currency))}</span>;
}
