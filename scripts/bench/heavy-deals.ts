/** A valid deal that takes as much work to find as one answer may. */
export const HEAVY_LOAN = JSON.stringify({
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: {},
  plan: {
    kind: "loan",
    yearlyRate: "22.47",
    payments: 1200,
    frequency: "monthly",
    dayCount: "actual/365",
    compounding: "quarterly",
    deferred: { payments: 6, interest: "waived" },
    signed: "2026-11-25",
    firstPayment: "2027-01-08",
  },
  find: "price",
  from: { financeCharge: "65591.00" },
});

/** The largest deal file that is accepted. */
export function largestFile(): string {
  const ask = (count: number) => ({
    ask: "apr",
    advances: Array.from({ length: count }, (_, k) => ({
      date: `2027-01-${String(1 + (k % 28)).padStart(2, "0")}`,
      amount: `${100 + k}.00`,
    })),
    payments: [{ date: "2029-01-01", amount: "900000000.00" }],
  });
  const plan = { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 60 };
  return JSON.stringify({
    format: "kellux-deal",
    version: 1,
    currency: "USD",
    structure: { price: "10000.00" },
    plan,
    find: "payment",
    ask: [ask(5000), ask(5000)],
  });
}
