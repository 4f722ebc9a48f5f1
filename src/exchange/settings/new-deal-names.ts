import type { NewDeal } from "./settings.schema";

/** What a deal can be from the start, as it is called. */
export const NEW_DEAL_NAMES: Record<NewDeal, string> = {
  vehicleLoan: "Vehicle loan",
  lease: "Lease",
  personalLoan: "Personal loan",
};
