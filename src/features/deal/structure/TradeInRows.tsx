import { type FieldName, linesOf } from "../fields";
import { shownQuote } from "../option";
import { useOption } from "../option/option-context";
import { LineButton } from "./LineButton";
import { OpenEditor } from "./OpenEditor";
import { TallyRow } from "./TallyRow";
import { isOpenLine, type Opening, useStructure } from "./use-structure";

type Props = {
  opening: Opening /** Whether they stand below the head of their group. */;
  isInGroup?: boolean;
};

/** Every trade-in: what is allowed for each, then what is still owed on each. */
export function TradeInRows({ opening, isInGroup = false }: Props) {
  const { structure, tally, money, runningOf } = useStructure();
  const tradeIns = linesOf(structure, "tradeIns");
  // A structure without a trade-in has a place for one.
  const shown = tradeIns.length > 0 ? tradeIns : [{ name: undefined }];
  const isAlone = shown.length === 1;
  const [allowances, debts] = [runningOf("allowance"), runningOf("owed")];
  // A lease takes the worth of all trade-ins together.
  const [together = ""] = runningOf("equity");
  const { option } = useOption();
  const { deal } = option;
  const found = shownQuote(option)?.allowance;
  /** By how much more is owed on a trade-in than it is worth; a found allowance is the shown answer's. */
  const shortfallText = (index: number) => {
    const tradeIn = deal.ok ? deal.value.structure.tradeIns[index] : undefined;
    const shortfall = (tradeIn?.owed ?? 0) - (tradeIn?.allowance ?? found ?? 0);
    return shortfall > 0 ? `${money(shortfall)} over its worth: adds to the ${option.desk.debtRaises}` : "";
  };
  const called = (name: string | undefined, index: number) => name ?? (isAlone ? "" : `number ${index + 1}`);
  return (
    <>
      {shown.map(({ name }, index) => (
        <TallyRow
          // biome-ignore lint/suspicious/noArrayIndexKey: a line has no other identity than its place.
          key={`allowance ${index}`}
          stale={tally.stale}
          isInGroup={isInGroup}
          label="Trade-in allowance"
          sign="−"
          field={fieldOf(index, "allowance")}
          running={allowances[index] ?? ""}
          remark={
            tradeIns.length > 0 && (
              <LineButton list="tradeIns" index={index} name={`trade-in ${index + 1}`} opening={opening}>
                {called(name, index) || "name it"}
              </LineButton>
            )
          }
        >
          {isOpenLine(opening, "tradeIns", index) && (
            <OpenEditor list="tradeIns" index={index} opening={opening} />
          )}
        </TallyRow>
      ))}
      {shown.map(({ name }, index) => (
        <TallyRow
          // biome-ignore lint/suspicious/noArrayIndexKey: a line has no other identity than its place.
          key={`owed ${index}`}
          stale={tally.stale}
          isInGroup={isInGroup}
          label="Owed on trade-in"
          sign="+"
          field={fieldOf(index, "owed")}
          running={debts[index] ?? (index === shown.length - 1 ? together : "")}
          remark={[called(name, index), shortfallText(index)].filter(Boolean).join(" · ")}
        />
      ))}
    </>
  );
}

/** The first trade-in has fields that every structure has. */
function fieldOf(index: number, part: "allowance" | "owed"): FieldName {
  return index === 0 ? part : `tradeIns/${index}/${part}`;
}
