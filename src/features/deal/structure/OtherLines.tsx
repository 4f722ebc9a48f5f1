import { linesOf } from "../fields";
import { useOption } from "../option/option-context";
import { LineButton } from "./LineButton";
import { OpenEditor } from "./OpenEditor";
import { TallyRow } from "./TallyRow";
import { isOpenLine, type Opening, useStructure } from "./use-structure";

/** Rebates, each a line taken off. */
export function RebateLines({ opening }: { opening: Opening }) {
  const { structure, tally, runningOf } = useStructure();
  const { hasTaxLines } = useOption().option.desk;
  const runnings = runningOf("rebate");
  return linesOf(structure, "rebates").map(({ name, beforeTax }, index) => (
    <TallyRow
      // biome-ignore lint/suspicious/noArrayIndexKey: a line has no other identity than its place.
      key={index}
      stale={tally.stale}
      label={name}
      sign="−"
      field={`rebates/${index}/amount`}
      running={runnings[index] ?? ""}
      remark={
        <LineButton list="rebates" index={index} name={name} opening={opening}>
          {hasTaxLines ? `rebate ${beforeTax ? "before" : "after"} tax` : "lowers the cost"}
        </LineButton>
      }
    >
      {isOpenLine(opening, "rebates", index) && <OpenEditor list="rebates" index={index} opening={opening} />}
    </TallyRow>
  ));
}

/** Debts to others that a personal loan pays off; they leave the loan amount as it is. */
export function PayoffLines({ opening }: { opening: Opening }) {
  const { structure, tally } = useStructure();
  return linesOf(structure, "payoffs").map(({ name }, index) => (
    <TallyRow
      // biome-ignore lint/suspicious/noArrayIndexKey: a line has no other identity than its place.
      key={index}
      stale={tally.stale}
      label={name}
      field={`payoffs/${index}/amount`}
      running="not in it"
      remark={
        <LineButton list="payoffs" index={index} name={name} opening={opening}>
          paid off out of the loan
        </LineButton>
      }
    >
      {isOpenLine(opening, "payoffs", index) && <OpenEditor list="payoffs" index={index} opening={opening} />}
    </TallyRow>
  ));
}
