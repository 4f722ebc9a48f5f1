import type { Charge, Structure } from "../../structure";
import type { Slip } from "./departure";
import { swappedDigits } from "./digits";

/** A slip with the deal that it makes. */
export type SlipOf<Deal> = { slip: Slip; change: (deal: Deal) => Deal };

type StructureSlip = SlipOf<Structure>;

/** What was counted wrong on the way to what is financed, whatever the plan. */
export function structureSlips(structure: Structure, cash: number): StructureSlip[] {
  return [
    ...downSlips(cash),
    ...(structure.tradeIns.some(({ owed }) => owed > 0) ? [OWED_SUBTRACTED] : []),
    ...(["fees", "extras"] as const).flatMap(list => chargeSlips(structure, list)),
    ...digitSlips(structure, cash),
  ];
}

const withDown = (amount: number) => (structure: Structure) => ({ ...structure, down: { amount } });

function downSlips(cash: number): StructureSlip[] {
  if (cash <= 0) return [];
  return [
    { slip: { slip: "downForgotten" }, change: withDown(0) },
    { slip: { slip: "downTwice" }, change: withDown(2 * cash) },
  ];
}

const OWED_SUBTRACTED: StructureSlip = {
  slip: { slip: "owedSubtracted" },
  change: structure => ({
    ...structure,
    tradeIns: structure.tradeIns.map(tradeIn => ({ ...tradeIn, owed: -tradeIn.owed })),
  }),
};

/** A fee that is paid at signing is financed, and the other way round. */
function chargeSlips(structure: Structure, list: "fees" | "extras"): StructureSlip[] {
  return (structure[list] ?? []).flatMap(({ name, paid }, place): StructureSlip[] => {
    const other = paid === "financed" ? "atSigning" : paid === "atSigning" ? "financed" : undefined;
    if (!other) return [];
    const put = (charge: Charge, index: number): Charge =>
      index === place ? { ...charge, paid: other } : charge;
    return [
      {
        slip: { slip: other === "financed" ? "chargeFinanced" : "chargeAtSigning", name },
        change: now => ({ ...now, [list]: now[list]?.map(put) }),
      },
    ];
  });
}

/** Two digits swapped in an amount, which are those of its minor units. */
export function swappedAmounts(amount: number): number[] {
  return amount > 0 ? swappedDigits(String(amount)).map(Number) : [];
}

function digitSlips(structure: Structure, cash: number): StructureSlip[] {
  const { price, tradeIns } = structure;
  const of = (
    figure: "price" | "down" | "allowance" | "owed",
    amount: number,
    put: (now: Structure, to: number) => Structure,
  ): StructureSlip[] =>
    swappedAmounts(amount).map(to => ({
      slip: { slip: "digits", figure, from: String(amount), to: String(to) },
      change: now => put(now, to),
    }));
  return [
    ...of("price", price ?? 0, (now, to) => ({ ...now, price: to })),
    ...of("down", cash, (now, to) => withDown(to)(now)),
    ...(["allowance", "owed"] as const).flatMap(figure =>
      tradeIns.flatMap((tradeIn, place) =>
        of(figure, tradeIn[figure] ?? 0, (now, to) => ({
          ...now,
          tradeIns: now.tradeIns.map((each, index) => (index === place ? { ...each, [figure]: to } : each)),
        })),
      ),
    ),
  ];
}
