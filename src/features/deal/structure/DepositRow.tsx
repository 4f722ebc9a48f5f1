import { LineLink } from "./LineLink";
import { NamedRow } from "./NamedRow";
import { useStructure } from "./use-structure";

/** What was paid before, with the way to remove. */
export function DepositRow() {
  const { tally, runningOf, change } = useStructure();
  return (
    <NamedRow
      line="deposit"
      stale={tally.stale}
      usual="Deposit paid"
      sign="−"
      field="deposit"
      running={runningOf("deposit")[0] ?? ""}
      remark={<LineLink onClick={() => change(({ deposit: _, ...rest }) => rest)}>no deposit</LineLink>}
    />
  );
}
