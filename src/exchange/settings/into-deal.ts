import type { LoanFile } from "../kinds/loan";
import type { Settings, TaxProfileFile, UsualExtra, UsualFee } from "./settings.schema";

type Structure = LoanFile["structure"];

/**
 * What a new deal starts with: a copy of the house's plan, and of the taxes, fees and extras that it has in every deal.
 *
 * @param signed ISO 8601 date, which becomes the contract date
 */
export function newDealInputs({ currency, plan, ...house }: Settings, signed: string): LoanFile {
  const fees = (house.fees ?? []).filter(isInEveryDeal).map(usualLine);
  const extras = (house.extras ?? []).filter(isInEveryDeal).map(usualLine);
  const profile = house.taxProfiles?.find(isInEveryDeal);
  const lines: Structure = {
    ...(fees.length > 0 && { fees }),
    ...(extras.length > 0 && { extras }),
  };
  return {
    format: "kellux-deal",
    version: 1,
    currency,
    structure: profile ? withTaxProfile(lines, profile) : lines,
    plan: { ...plan, signed },
    find: "payment",
  };
}

const isInEveryDeal = ({ inEveryDeal }: { inEveryDeal?: boolean | undefined }) => inEveryDeal === true;

/** A usual fee or extra as a line of a deal. */
export function usualLine<Line extends UsualFee | UsualExtra>({ inEveryDeal: _, ...line }: Line) {
  return line;
}

/** A structure with the taxes of a profile in place of its own. */
export function withTaxProfile(structure: Structure, { taxes, taxIncluded }: TaxProfileFile): Structure {
  const { taxIncluded: _, ...rest } = structure;
  if (!taxIncluded) return { ...rest, taxes };
  // Taxes that are in the price have no rebate before them.
  const rebates = rest.rebates?.map(({ name, amount }) => ({ name, amount }));
  return { ...rest, taxes, taxIncluded, ...(rebates && { rebates }) };
}
