// Lessors that depart in up to three things are given back, as lenders are; their figures come from arithmetic written apart.
import fc from "fast-check";
import { evaluateLease, type LeaseDeal } from "@/core";
import type { Departure, Stated } from "@/core/match";
import { leaseMachine } from "@/core/match/lease/machine";
import { runs } from "../../runs";
import { type AnyMachine, draws, foundBy, gridOf, places, takenBy } from "./picked-ways";
import { type TheirLease, type TheirLeaseFigures, theirLease, withLeaseDeparture } from "./their-lease";

const GRIDS = runs(120);

const leaseBy = (own: TheirLease, departures: readonly Departure[]) =>
  theirLease(departures.reduce(withLeaseDeparture, own));

const leases = fc.record({
  price: fc.integer({ min: 15_000_00, max: 70_000_00 }),
  down: fc.constantFrom(0, 1_250_00, 3_000_00),
  residualPercent: fc.constantFrom("38", "45.5", "52", "61"),
  residualOf: fc.constantFrom<TheirLease["residualOf"]>("price", "listPrice"),
  factor: fc.constantFrom("0.0012345", "0.00225", "0.00187654", "0.003"),
  payments: fc.constantFrom(24, 36, 39, 48),
});

function dealOf(lease: TheirLease): LeaseDeal {
  return {
    currency: "USD",
    listPrice: lease.listPrice,
    find: "payment",
    structure: {
      price: lease.price,
      tradeIns: [],
      down: { amount: lease.down },
      fees: [
        {
          name: "Plates",
          amount: { minor: lease.plates },
          isTaxable: false,
          paid: "atSigning",
          isFinanceCharge: false,
        },
      ],
    },
    plan: {
      kind: "lease",
      reckoning: "moneyFactor",
      moneyFactor: lease.factor,
      yearlyRate: null,
      payments: lease.payments,
      frequency: "monthly",
      rounding: "nearest",
      signed: null,
      payment: null,
      inAdvance: 1,
      residual: { percent: lease.residualPercent, of: lease.residualOf },
      residualDue: "end",
      acquisitionFee: { amount: lease.acquisition, isFinanced: true, isTaxable: false },
      taxes: [
        {
          name: "County tax",
          rate: lease.taxRate,
          on: ["payment"],
          tradeInCredit: false,
          rebateCredit: false,
          rounding: "nearest",
          isFinanced: false,
        },
      ],
      earlyFee: 0,
      dispositionFee: 0,
      purchaseFee: 0,
    },
  };
}

const saidBy = ({ payment, rent }: TheirLeaseFigures): Stated => ({
  payment: { units: payment, decimals: 2 },
  financeCharge: { units: rent, decimals: 2 },
});

test(`${GRIDS} lessors among the ways of a grid that contains theirs`, () => {
  const kinds = new Map<string, number>();
  fc.assert(
    fc.property(leases, places, draws, (some, at, drawn) => {
      const own: TheirLease = {
        ...some,
        listPrice: some.price + 2_100_00,
        acquisition: 595_00,
        isAcquisitionAtSigning: false,
        plates: 187_50,
        isPlatesFinanced: false,
        more: 0,
        rate: null,
        inAdvance: 1,
        taxRate: "6.25",
        isTaxedOnPayment: true,
        isTaxOnUnrounded: false,
        rule: "nearest",
        step: 1,
      };
      const answer = evaluateLease(dealOf(own));
      if (!answer.ok) return;
      expect({ payment: answer.value.payment, rent: answer.value.rentCharge }).toEqual(
        (({ payment, rent } = { payment: 0, rent: 0, cost: 0 }) => ({ payment, rent }))(theirLease(own)),
      );
      const machine = leaseMachine(answer.value, {}) as AnyMachine;
      const { taken, count } = takenBy(machine, at);
      const figures = leaseBy(
        own,
        taken.map(({ departure }) => departure),
      );
      if (!figures) return;
      for (const { departure } of taken) kinds.set(departure.kind, (kinds.get(departure.kind) ?? 0) + 1);
      const stated = saidBy(figures);
      const { fits } = foundBy(gridOf(machine, taken, drawn), stated);
      const named = taken.map(({ departure }) => departure);
      expect([named, fits.length > 0]).toEqual([named, true]);
      for (const fit of fits) {
        expect(fit.count).toBeLessThanOrEqual(count);
        const lease = leaseBy(own, fit.departures);
        expect([fit.departures, lease && saidBy(lease)]).toEqual([fit.departures, stated]);
      }
    }),
    { numRuns: GRIDS },
  );
  for (const kind of ["lines", "rounding", "rounded", "taxOn", "rate", "slip"])
    expect([kind, (kinds.get(kind) ?? 0) > GRIDS / 100]).toEqual([kind, true]);
});
