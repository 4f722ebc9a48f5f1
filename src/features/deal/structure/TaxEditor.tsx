import { type LineOf, linesOf } from "../fields";
import { shownQuote } from "../option";
import { useOption } from "../option/option-context";
import { TaxTerms } from "./TaxTerms";
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
  const quote = shownQuote(option);
  return (
    <>
      <TaxTerms
        place={`taxes/${index}`}
        tax={tax}
        choices={ON}
        hasLimits={!structure.taxIncluded}
        change={members => put("taxes", index, members)}
      />
      {quote && "reckoned" in quote && (
        <div className="col-span-2">
          <TaxWorking quote={quote} index={index} />
        </div>
      )}
    </>
  );
}
