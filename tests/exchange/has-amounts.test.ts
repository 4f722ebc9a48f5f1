import type { DealFile } from "@/exchange/deal-file";
import { hasAmounts } from "@/exchange/deal-file/has-amounts";
import { newDealDocument } from "@/exchange/new-deal/new-deal";
import { DEFAULT_SETTINGS } from "@/exchange/settings";

const newInputs = (kind: "vehicleLoan" | "lease" | "personalLoan"): DealFile => {
  const [option] = newDealDocument("2026-11-24", { ...DEFAULT_SETTINGS, newDeal: kind }).options;
  if (!option) throw new Error("A deal has an option.");
  return option.inputs;
};

test.each(["vehicleLoan", "lease", "personalLoan"] as const)(
  "a new deal, %s, has no amounts until one is typed: rates, dates and numbers are none",
  kind => {
    const now = newInputs(kind);
    expect(hasAmounts(now)).toBe(false);
    const rated = { ...now, plan: { ...now.plan, yearlyRate: "6.49", payments: 60 } } as DealFile;
    expect(hasAmounts(rated)).toBe(false);
    const taxed = { ...now, structure: { ...now.structure, taxes: [{ name: "Tax", rate: "7" }] } };
    expect(hasAmounts(taxed as DealFile)).toBe(false);
    for (const structure of [
      { price: "1" },
      { fees: [{ name: "Title", amount: "85.00" }] },
      { deposit: "100" },
    ])
      expect(hasAmounts({ ...now, structure: { ...now.structure, ...structure } } as DealFile)).toBe(true);
    expect(hasAmounts({ ...now, plan: { ...now.plan, payment: "500.00" } } as DealFile)).toBe(true);
  },
);
