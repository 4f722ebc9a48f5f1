import { linesOf } from "../fields";
import { withTaxAdded, withTaxIncluded } from "../fields/tax-in-price";
import { LineLink } from "./LineLink";
import { useStructure } from "./use-structure";

/** Whether the taxes are in the price, where there are any. */
export function TaxInPrice() {
  const { structure, change } = useStructure();
  const taxes = linesOf(structure, "taxes");
  if (taxes.length === 0) return null;
  const isIncluded = structure.taxIncluded ?? false;
  return (
    <>
      tax {isIncluded ? "in it" : "not in it"} ·{" "}
      <LineLink onClick={() => change(isIncluded ? withTaxAdded : withTaxIncluded)}>
        {isIncluded ? "add it" : "it is in it"}
      </LineLink>
    </>
  );
}
