import fc from "fast-check";
import type { FieldName } from "@/features/deal/fields";
import { type ChangeWithinKind, type OptionState, optionReducer } from "@/features/deal/option";
import { leases } from "../core/random-leases";
import { leaseInputs, loanInputs } from "../loan-inputs";
import { LOAN, VAN } from "./lease-and-loan";
import { KINDS, openOption } from "./load-desk";

const typed = (field: FieldName, text: string): ChangeWithinKind => ({ type: "typed", field, text });

const ofKind = (state: OptionState, kind: OptionState["kind"]) =>
  optionReducer(state, { type: "kind", kind, to: KINDS[kind] });

test("what applies is taken over: rate, term, frequency, rounding, date; a balloon is the residual, a tax falls on payments", () => {
  const lease = leaseInputs(ofKind(openOption(LOAN), "lease").inputs);
  expect(lease.structure).toEqual(LOAN.structure);
  expect(lease.plan).toEqual({
    kind: "lease",
    reckoning: "levelYield",
    yearlyRate: "6.49",
    payments: 60,
    frequency: "monthly",
    signed: "2026-11-24",
    inAdvance: 1,
    residual: { percent: "30", of: "price" },
    taxes: [{ name: "County tax", rate: "6.25", on: ["payment"] }],
  });
  const loan = loanInputs(ofKind(openOption(VAN), "loan").inputs);
  expect(loan.plan).toEqual({
    kind: "loan",
    yearlyRate: "5.4",
    payments: 36,
    frequency: "monthly",
    signed: "2026-11-24",
  });
});

test("each comes back unchanged, as often as it is turned", () => {
  const before = openOption(LOAN);
  const lease = optionReducer(ofKind(before, "lease"), typed("lease/payments", "48"));
  const again = ofKind(lease, "loan");
  const { kept, ...back } = loanInputs(again.inputs);
  expect(back).toEqual(LOAN);
  expect(kept?.plan).toMatchObject({ kind: "lease", payments: 48 });
  const { kept: _, ...sameLease } = leaseInputs(ofKind(again, "lease").inputs);
  const { kept: __, ...firstLease } = leaseInputs(lease.inputs);
  expect(sameLease).toEqual(firstLease);
});

test("a figure of the structure that is being found is found in both", () => {
  const finding = optionReducer(openOption(LOAN), { type: "find", figure: "price", wish: "500.00" });
  const lease = leaseInputs(ofKind(finding, "lease").inputs);
  expect([lease.find, lease.plan.payment]).toEqual(["price", "500.00"]);
  expect(lease.structure).not.toHaveProperty("price");
  const { kept, ...back } = loanInputs(ofKind(ofKind(finding, "lease"), "loan").inputs);
  expect(back).toEqual(finding.inputs);
  expect(kept?.find).toBe("price");
});

test("where the structure was given since, a kept find looks for its payment", () => {
  const finding = optionReducer(openOption(LOAN), { type: "find", figure: "price", wish: "500.00" });
  const lease = optionReducer(ofKind(finding, "lease"), { type: "find", figure: "payment" });
  const loan = loanInputs(ofKind(lease, "loan").inputs);
  expect(loan.find).toBe("payment");
  expect(loan.plan).not.toHaveProperty("payment");
  expect(loan.structure.price).toBe(leaseInputs(lease.inputs).structure.price);
});

test("any lease comes back from being a loan as it was, with the same answer", () => {
  fc.assert(
    fc.property(leases, file => {
      const before = openOption(file);
      const { kept: _, ...back } = leaseInputs(ofKind(ofKind(before, "loan"), "lease").inputs);
      expect(back).toEqual(file);
      expect(openOption(back).answer).toEqual(before.answer);
    }),
    { numRuns: 300 },
  );
});
