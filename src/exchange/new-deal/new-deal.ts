import { type DealDocument, documentOf, newId } from "../deal-document";
import type { DealFile } from "../deal-file";
import { turnInto } from "../kinds/kind/turning";
import { LEASE_TURNING } from "../kinds/lease/turning";
import { LOAN_TURNING } from "../kinds/loan/turning";
import { DEFAULT_SETTINGS, type NewDeal, newDealInputs, type Settings } from "../settings";
import { asPersonal } from "../structure/lines";

const PURPOSE = "Personal loan";

/**
 * A deal before anything is typed.
 *
 * @param today ISO 8601 date, which becomes the contract date
 * @param settings what the house starts a deal with
 * @param kind what it is from the start; as usual in the house where it is left out
 */
export function newDealDocument(
  today: string,
  settings: Settings = DEFAULT_SETTINGS,
  kind: NewDeal = settings.newDeal ?? "vehicleLoan",
): DealDocument {
  return documentOf(
    { status: "quoting", ...(settings.place && { place: settings.place }) },
    { id: newId(), name: "", inputs: newInputs(today, settings, kind) },
  );
}

function newInputs(today: string, settings: Settings, kind: NewDeal): DealFile {
  const loan = newDealInputs(settings, today);
  switch (kind) {
    case "vehicleLoan":
      return loan;
    case "lease":
      return turnInto(loan, null, LOAN_TURNING, LEASE_TURNING);
    case "personalLoan":
      return { ...loan, structure: asPersonal(loan.structure, PURPOSE) };
  }
}
