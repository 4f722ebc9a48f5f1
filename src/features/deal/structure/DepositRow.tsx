import { TallyRow } from "./TallyRow";
import { useStructure } from "./use-structure";

/** What was paid before, with the way to take it out. */
export function DepositRow() {
  const { tally, runningOf, change } = useStructure();
  return (
    <TallyRow
      stale={tally.stale}
      label="Deposit paid"
      sign="−"
      field="deposit"
      running={runningOf("deposit")[0] ?? ""}
      remark={
        <button
          type="button"
          className="cursor-pointer text-primary underline decoration-dotted underline-offset-2"
          onClick={() => change(({ deposit: _, ...rest }) => rest)}
        >
          no deposit
        </button>
      }
    />
  );
}
