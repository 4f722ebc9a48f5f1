import { currencyDecimals, formatAmount } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import type { DownKind } from "./structure-fields";

/** What the cash down comes to now, and what it can be said as a part of; minor units. */
type DownNow = { down: number; due?: number | undefined; price?: number; total?: number };

/** The deal with the same cash down, given another way; a percent keeps two decimals. */
export function withDownKind<File extends DealFile>(inputs: File, kind: DownKind, now: DownNow): File {
  const { down, due = down, price = 0, total = 0 } = now;
  const money = (minor: number) => formatAmount(minor, currencyDecimals(inputs.currency) ?? 2);
  const share = (of: number) => String(of > 0 ? Math.min(100, Math.round((down / of) * 10_000) / 100) : 0);
  const given = {
    amount: { amount: money(down) },
    percent: { percent: share(price) },
    percentOfTotal: { percent: share(total), of: "total" as const },
    dueAtSigning: { dueAtSigning: money(due) },
  }[kind];
  return { ...inputs, structure: { ...inputs.structure, down: given } };
}
