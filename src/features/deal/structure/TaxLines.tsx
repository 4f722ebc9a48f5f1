import { type LineOf, linesOf } from "../fields";
import { LineButton } from "./LineButton";
import { OpenEditor } from "./OpenEditor";
import { TallyRow } from "./TallyRow";
import { isOpenLine, type Opening, useStructure } from "./use-structure";

/** Each tax with its rate and what it comes to; it opens to be changed and to show its working. */
export function TaxLines({ opening }: { opening: Opening }) {
  const { structure, tally, money, say, runningOf } = useStructure();
  const taxes = linesOf(structure, "taxes");
  const isIncluded = structure.taxIncluded ?? false;
  const runnings = runningOf("tax");
  const isAdded = (tax: LineOf<"taxes">) => !isIncluded && tax.financed !== false;
  return taxes.map((tax, index) => (
    <TallyRow
      // biome-ignore lint/suspicious/noArrayIndexKey: a line has no other identity than its place.
      key={index}
      stale={tally.stale}
      label={tax.name}
      sign={isAdded(tax) ? "+" : ""}
      value={money(tally.reckoned?.taxes[index]?.amount)}
      running={isAdded(tax) ? (runnings[taxes.slice(0, index).filter(isAdded).length] ?? "") : "not in it"}
      remark={
        <LineButton list="taxes" index={index} name={tax.name} opening={opening}>
          {`${say(String(tax.rate))} %${isIncluded ? ", in the price" : ""}${tax.financed === false && !isIncluded ? ", paid at signing" : ""}: how`}
        </LineButton>
      }
    >
      {isOpenLine(opening, "taxes", index) && <OpenEditor list="taxes" index={index} opening={opening} />}
    </TallyRow>
  ));
}
