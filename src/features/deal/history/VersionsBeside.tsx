import { Fragment } from "react";
import type { DealDocument } from "@/exchange/deal-document";
import { useNotation } from "../option/option-context";
import { type DescribedPart, describeParts } from "./describe-document";

type Props = {
  one: DealDocument;
  other: DealDocument;
  /** What the two are called. */
  names: readonly [one: string, other: string];
};

/** Two states of a deal side by side: what differs, figure by figure, and what is the same folded below it. */
export function VersionsBeside({ one, other, names }: Props) {
  const parts = describeParts(one, other);
  const same = parts.flatMap(part => rowsOf(part).filter(({ differs }) => !differs));
  return (
    <>
      <VersionsTable names={names} parts={parts} isShown={({ differs }) => differs} />
      {same.length === parts.flatMap(rowsOf).length && <p className="mt-2 text-faint">Nothing differs.</p>}
      {same.length > 0 && (
        <details className="mt-2">
          <summary className="cursor-pointer font-semibold text-primary text-sm">
            {same.length === 1 ? "One figure is the same" : `${same.length} figures are the same`}
          </summary>
          <VersionsTable names={names} parts={parts} isShown={({ differs }) => !differs} />
        </details>
      )}
    </>
  );
}

type Row = { name: string; one: string; other: string; differs: boolean };

/** The figures of a part in both states; an option that only one of them has is a row of its own. */
function rowsOf({ one, other }: DescribedPart): Row[] {
  const there = (part: unknown) => (part ? "is there" : "is not there");
  if (!one || !other) return [{ name: "Option", one: there(one), other: there(other), differs: true }];
  return [...new Set([...Object.keys(one), ...Object.keys(other)])].map(name => ({
    name,
    one: one[name] ?? "–",
    other: other[name] ?? "–",
    differs: one[name] !== other[name],
  }));
}

type TableProps = {
  names: Props["names"];
  parts: readonly DescribedPart[];
  isShown: (row: Row) => boolean;
};

function VersionsTable({ names, parts, isShown }: TableProps) {
  const { say } = useNotation();
  return (
    <table className="mt-2 w-full">
      <thead>
        <tr className="text-left text-faint text-sm">
          <th scope="col" className="py-1 font-normal">
            Figure
          </th>
          {names.map(name => (
            <th key={name} scope="col" className="font-normal">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {parts.map((part, index) => {
          const rows = rowsOf(part).filter(isShown);
          if (rows.length === 0) return null;
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: a part is its place
            <Fragment key={index}>
              {part.name !== null && (
                <tr className="border-base-300 border-t">
                  <th scope="rowgroup" colSpan={3} className="pt-3 pb-0.5 text-left font-semibold font-serif">
                    {part.name}
                  </th>
                </tr>
              )}
              {rows.map(({ name, one, other, differs }) => (
                <tr
                  key={name}
                  className={`border-base-300 border-t ${differs ? "font-semibold" : "text-faint"}`}
                >
                  <th scope="row" className="py-1 pr-4 text-left font-normal">
                    {name}
                    {differs && <span className="sr-only"> (differs)</span>}
                  </th>
                  <td className="pr-4">{say(one)}</td>
                  <td>{say(other)}</td>
                </tr>
              ))}
            </Fragment>
          );
        })}
      </tbody>
    </table>
  );
}
