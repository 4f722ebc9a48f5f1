import { type ReactNode, useEffect, useState } from "react";
import type { Income } from "@/core";
import type { Dealer } from "@/exchange/dealer";
import { dealerApi } from "@/features/api/dealer";
import { earningOf } from "../dealer/use-income";
import { useFrame } from "../desk/desk-context";
import type { Cell, Column, Row } from "./line-up";

const ROWS: readonly [name: string, of: (earned: Income) => number | null][] = [
  ["Front gross", ({ front }) => front.total],
  ["Reserve", ({ reserve }) => reserve?.amount ?? null],
  ["Back gross", ({ back }) => back.total],
  ["Earned in all", ({ total }) => total],
  ["Officer’s share", ({ officerShare }) => officerShare],
];

type Props = { dealId: string; columns: readonly Column[]; draw: (row: Row) => ReactNode };

/** What each option earns the dealer: asked for once the line-up is there, and drawn while the dealer's side is open. */
export function DealerRows({ dealId, columns, draw }: Props) {
  const { heading } = useFrame();
  const [dealer, setDealer] = useState<Dealer>();
  useEffect(() => {
    void dealerApi.open(dealId).then(answer => answer.kind === "done" && setDealer(answer.value.document));
  }, [dealId]);
  if (!dealer) return null;
  const earned = columns.map(
    ({ id, state }) => earningOf(state, dealer.options?.[id], heading.place)?.earned ?? null,
  );
  const rows = ROWS.map(([name, of]): Row => {
    const cells = earned.map((income): Cell => {
      const minor = income && of(income);
      return { figure: minor === null ? null : { unit: "money", minor } };
    });
    return { name, cells };
  });
  return rows.filter(({ cells }) => cells.some(({ figure }) => figure !== null)).map(draw);
}
