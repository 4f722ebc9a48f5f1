import { Check, Choice } from "../parts/choices";
import { FigureField } from "../parts/FigureField";
import { ROUNDINGS } from "../plan/choices-of-plan";

/** What a tax of a structure and one of a lease have in common. */
type AnyTax<On extends string> = {
  on: readonly On[];
  rounding?: "nearest" | "up" | "down" | undefined;
  financed?: boolean | undefined;
  tradeInCredit?: boolean | string | number | undefined;
  rebateCredit?: boolean | undefined;
};

type Change<On extends string> = { [Member in keyof AnyTax<On>]?: AnyTax<On>[Member] | undefined };

type Props<On extends string> = {
  /** Where the tax stands in the deal, as its fields are named. */
  place: `taxes/${number}` | `leaseTaxes/${number}`;
  tax: AnyTax<On>;
  /** What it can be on. */
  choices: readonly (readonly [On, string])[];
  /** Whether anything can be credited or capped, and it be paid at signing. */
  hasLimits: boolean;
  change: (members: Change<On> & { on?: On[] }) => void;
};

/** What a tax is on, what is credited, how it is rounded and paid. */
export function TaxTerms<On extends string>({ place, tax, choices, hasLimits, change }: Props<On>) {
  const putOn = (on: On, isOn: boolean) => {
    const lines = choices.map(([each]) => each).filter(each => (each === on ? isOn : tax.on.includes(each)));
    if (lines.length > 0) change({ on: lines });
  };
  const isCredited = tax.tradeInCredit !== undefined && tax.tradeInCredit !== false;
  return (
    <>
      <FigureField field={`${place}/rate`} shortLabel="Rate" />
      <div className="col-span-2 flex flex-wrap gap-x-4 gap-y-1 text-sm">
        <span className="text-faint">On</span>
        {choices.map(([on, words]) => (
          <Check key={on} label={words} checked={tax.on.includes(on)} onChange={isOn => putOn(on, isOn)} />
        ))}
      </div>
      <Choice
        label="Rounded"
        value={tax.rounding ?? "nearest"}
        choices={ROUNDINGS}
        onChange={rounding => change({ rounding })}
      />
      {hasLimits && (
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
              checked={isCredited}
              onChange={checked => change({ tradeInCredit: checked || undefined })}
            />
            <Check
              label="Rebates credited"
              checked={tax.rebateCredit ?? false}
              onChange={checked => change({ rebateCredit: checked || undefined })}
            />
          </div>
          {isCredited && <FigureField field={`${place}/tradeInCredit`} shortLabel="Most trade-in credited" />}
          <FigureField field={`${place}/capOn`} shortLabel="Most that is taxed" />
          <FigureField field={`${place}/cap`} shortLabel="Most tax" />
        </>
      )}
    </>
  );
}
