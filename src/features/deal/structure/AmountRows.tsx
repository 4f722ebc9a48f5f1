import { AMOUNT_LINE_NAMES, AMOUNT_LINES, type AmountLineName } from "@/core";
import { withOptional } from "@/exchange/members";
import { nameOfAmountLine } from "../fields";
import { LineLink } from "./LineLink";
import { NamedRow } from "./NamedRow";
import { useStructure } from "./use-structure";

/** The lines that are one amount, as far as they are there. */
export function AmountRows() {
  const { structure } = useStructure();
  return AMOUNT_LINE_NAMES.filter(line => structure[line] !== undefined).map(line => (
    <AmountRow key={line} line={line} />
  ));
}

/** One of them, with the way to remove it. */
function AmountRow({ line }: { line: AmountLineName }) {
  const { tally, runningOf, change } = useStructure();
  const { label, sign } = AMOUNT_LINES[line];
  return (
    <NamedRow
      line={line}
      stale={tally.stale}
      usual={nameOfAmountLine(line)}
      sign={sign < 0 ? "−" : "+"}
      field={line}
      running={runningOf(line)[0] ?? ""}
      remark={
        <LineLink onClick={() => change(now => withOptional(now, line, undefined))}>
          no {label.toLowerCase()}
        </LineLink>
      }
    />
  );
}
