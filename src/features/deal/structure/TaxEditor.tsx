import { type LineOf, linesOf } from "../fields";
import { shownQuote } from "../option";
import { useOption } from "../option/option-context";
import { Check, Choice } from "../parts/choices";
import { FigureField } from "../parts/FigureField";
import { ROUNDINGS } from "../plan/choices-of-plan";
import { TaxWorking } from "./TaxWorking";
import { useStructure } from "./use-structure";

type On = LineOf<"taxes">["on"][number];

const ON: [On, string][] = [
  ["price", "the price"],
  ["fees", "taxed fees"],
  ["extras", "taxed extras"],
];

/** What a tax is on, what is credited, how it is rounded and paid; and how it came about. */
export function TaxEditor({ index }: { index: number }) {
  const { option } = useOption();
  const { structure, put } = useStructure();
  const tax = linesOf(structure, "taxes")[index];
  if (!tax) return null;
  const isIncluded = structure.taxIncluded ?? false;
  const quote = shownQuote(option);
  const change = (members: Parameters<typeof put<"taxes">>[2]) => put("taxes", index, members);
  const putOn = (on: On, isOn: boolean) => {
    const lines = ON.map(([each]) => each).filter(each => (each === on ? isOn : tax.on.includes(each)));
    if (lines.length > 0) change({ on: lines });
  };
  return (
    <>
      <FigureField field={`taxes/${index}/rate`} shortLabel="Rate" />
      <div className="col-span-2 flex flex-wrap gap-x-4 gap-y-1 text-sm">
        <span className="text-faint">On</span>
        {ON.map(([on, words]) => (
          <Check key={on} label={words} checked={tax.on.includes(on)} onChange={isOn => putOn(on, isOn)} />
        ))}
      </div>
      <Choice
        label="Rounded"
        value={tax.rounding ?? "nearest"}
        choices={ROUNDINGS}
        onChange={rounding => change({ rounding })}
      />
      {!isIncluded && (
        <>
          <Choice
            label="Paid"
            value={tax.financed === false ? "atSigning" : "financed"}
            choices={[
              ["financed", "financed"],
              ["atSigning", "at signing"],
            ]}
            onChange={paid => change({ financed: paid === "atSigning" ? false : undefined })}
          />
          <div className="col-span-2 flex flex-wrap gap-x-5 gap-y-1">
            <Check
              label="Trade-in credited"
              checked={tax.tradeInCredit !== undefined && tax.tradeInCredit !== false}
              onChange={checked => change({ tradeInCredit: checked || undefined })}
            />
            <Check
              label="Rebates credited"
              checked={tax.rebateCredit ?? false}
              onChange={checked => change({ rebateCredit: checked || undefined })}
            />
          </div>
          {tax.tradeInCredit !== undefined && tax.tradeInCredit !== false && (
            <FigureField field={`taxes/${index}/tradeInCredit`} shortLabel="Most trade-in credited" />
          )}
          <FigureField field={`taxes/${index}/capOn`} shortLabel="Most that is taxed" />
          <FigureField field={`taxes/${index}/cap`} shortLabel="Most tax" />
        </>
      )}
      {quote && (
        <div className="col-span-2">
          <TaxWorking quote={quote} index={index} />
        </div>
      )}
    </>
  );
}
