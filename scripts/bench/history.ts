import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { eq, sql } from "drizzle-orm";
import { updateDeal } from "@/data/deals";
import { openDatabase } from "@/data/embedded/open-folder";
import { insertDeals } from "@/data/new-deals";
import { dealChanges } from "@/data/schema";
import type { DealDocument, DealOption } from "@/exchange/deal-document";
import type { LoanFile } from "@/exchange/kinds/loan";
import { median } from "./by-turns";
import { ratio, say } from "./say";

const SAVES = 200;
const BEHIND = 1000;

const inputs: LoanFile = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: {
    price: "41850.00",
    tradeIn: { allowance: "9200.00", owed: "11050.00" },
    down: { amount: "3000.00" },
    fees: [{ name: "Documents", amount: "299.00" }],
  },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 72, signed: "2026-11-24" },
  find: "payment",
};
const idOf = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`;
const optionOf = (n: number, down: string): DealOption => ({
  id: idOf(n),
  name: "",
  inputs: { ...inputs, structure: { ...inputs.structure, down: { amount: down } } },
});
const DEAL: DealDocument = {
  customer: { id: idOf(8), name: "Idris Vantongeren" },
  vehicle: { id: idOf(9), name: "Larkmoor 240 campervan" },
  status: "quoting",
  chosen: idOf(1),
  options: [1, 2, 3, 4].map(n => optionOf(n, "3000.00")),
};

/** What the history of a deal of four options costs: its room, and a save with many changes behind it. */
export async function benchHistory(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), "kellux-bench-history-"));
  const { database, close } = await openDatabase(folder);
  const version = new Map<string, number>();
  /** Saves a change, long after the one before it, so that the two are not one. */
  const save = async (dealId: string, n: number): Promise<number> => {
    await database
      .update(dealChanges)
      .set({ at: sql`now() - interval '1 day'`, payment: 65_876 })
      .where(eq(dealChanges.dealId, dealId));
    const from = version.get(dealId) ?? 1;
    const change = { options: [optionOf(1 + (n % 4), `${3000 + n}.00`)] };
    const began = performance.now();
    await updateDeal(database, dealId, from, change, { brief: true });
    version.set(dealId, from + 1);
    return performance.now() - began;
  };
  try {
    const [fresh = "", old = "", kept = ""] = await insertDeals(database, [DEAL, DEAL, DEAL]);
    for (let n = 1; n <= SAVES; n++) await save(kept, n);
    const [size] = await database
      .select({ bytes: sql<number>`sum(pg_column_size(deal_changes.*))::int` })
      .from(dealChanges)
      .where(eq(dealChanges.dealId, kept));
    say(
      `history of ${SAVES} changes of a deal of four options`,
      `${((size?.bytes ?? 0) / 1024).toFixed(1)} kB`,
      "target ≤ 40 kB",
    );
    await database.execute(sql`
      insert into deal_changes (deal_id, number, kind, at, words, document_version, back, deal_version)
      select ${old}, n, 'changed', now() - interval '1 day',
        '72 monthly: cash down 3,000.00 → 4,500.00', 2, '[["0/inputs/structure/down/amount","3000.00"]]', 1
      from generate_series(2, ${BEHIND}) n`);
    const costs: Record<string, number[]> = { [fresh]: [], [old]: [] };
    for (let n = 1; n <= 60; n++) for (const deal of [fresh, old]) costs[deal]?.push(await save(deal, n));
    const [first, later] = [median(costs[fresh] ?? []), median(costs[old] ?? [])];
    say(
      `a save with ${BEHIND.toLocaleString("en")} changes behind it to one of the first`,
      ratio(later / first),
      "target ≤ 1.2 ×",
    );
  } finally {
    await close();
    rmSync(folder, { recursive: true });
  }
}
