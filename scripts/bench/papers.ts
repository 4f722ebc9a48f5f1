import { say } from "./say";

const LOAN = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "41850.00" },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "1.49", payments: 1200, signed: "2026-11-24" },
  find: "payment",
};
const TIMES = 5;

/** The address of a deal's paper, with the day on it. */
export async function paperAddress(address: string, name: string): Promise<string> {
  const answer = await fetch(`${address}/api/deals/import`, {
    method: "POST",
    headers: { "Content-Type": "application/json" },
    body: JSON.stringify({ fileName: "A long loan.json", text: JSON.stringify(LOAN) }),
  });
  const { id, version, document } = await answer.json();
  return `${address}/api/deals/${id}/papers/${name}?version=${version}&options=${document.chosen}&day=2026-11-30`;
}

/** Papers from asking to the last byte: the first, whose thread reads its fonts, and those after it. */
export async function benchPapers(address: string): Promise<void> {
  for (const [name, target] of [
    ["repaymentTable", "2 s; the first ≤ 5 s"],
    ["proposal", "0.3 s"],
    ["workbook", "1 s with 480 rows"],
  ] as const) {
    const asked = await paperAddress(address, name);
    const first = await costOf(asked);
    const later: number[] = [];
    for (let time = 0; time < TIMES; time++) later.push(await costOf(asked));
    const median = later.sort((a, b) => a - b)[Math.floor(TIMES / 2)] ?? 0;
    say(
      `${name} of 1,200 payments, first and median of ${TIMES}`,
      `${first.toFixed(0)}, ${median.toFixed(0)} ms`,
      `target ≤ ${target}`,
    );
  }
}

async function costOf(paper: string): Promise<number> {
  const began = performance.now();
  const answer = await fetch(paper, { method: "POST" });
  await answer.arrayBuffer();
  if (!answer.ok) throw new Error(`There is no paper: ${answer.status}.`);
  return performance.now() - began;
}
