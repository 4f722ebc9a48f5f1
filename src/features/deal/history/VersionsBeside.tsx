import { Fragment } from "react";
import type { DealDocument } from "@/exchange/deal-document";
import { type DescribedPart, describeParts } from "../desk/describe-document";
import { useNotation } from "../option/option-context";

type Props = {
  one: DealDocument;
  other: DealDocument;
  /** What the two are called. */
  names: readonly [one: string, other: string];
};

/** Two states of a deal side by side, figure by figure: what differs is set in bold. */
export function VersionsBeside({ one, other, names }: Props) {
  return (
    <table className="mt-3 w-full">
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
        {describeParts(one, other).map((part, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a part is its place
          <Fragment key={index}>
            {part.name !== null && (
              <tr className="border-base-300 border-t">
                <th scope="rowgroup" colSpan={3} className="pt-3 pb-0.5 text-left font-semibold font-serif">
                  {part.name}
                </th>
              </tr>
            )}
            <PartRows part={part} />
          </Fragment>
        ))}
      </tbody>
    </table>
  );
}

function PartRows({ part: { one, other } }: { part: DescribedPart }) {
  const { say } = useNotation();
  if (!one || !other) {
    return (
      <tr className="border-base-300 border-t font-semibold">
        <th scope="row" className="py-1 pr-4 text-left font-normal">
          Option<span className="sr-only"> (differs)</span>
        </th>
        <td>{one ? "is there" : "is not there"}</td>
        <td>{other ? "is there" : "is not there"}</td>
      </tr>
    );
  }
  const figures = [...new Set([...Object.keys(one), ...Object.keys(other)])];
  return figures.map(name => {
    const differs = one[name] !== other[name];
    return (
      <tr key={name} className={`border-base-300 border-t ${differs ? "font-semibold" : "text-faint"}`}>
        <th scope="row" className="py-1 pr-4 text-left font-normal">
          {name}
          {differs && <span className="sr-only"> (differs)</span>}
        </th>
        <td className="pr-4">{say(one[name] ?? "–")}</td>
        <td>{say(other[name] ?? "–")}</td>
      </tr>
    );
  });
}
