import { dealWith, quoteOf } from "./core/deals";
import { matchFigures } from "@/core/match";
const q = quoteOf(dealWith({ price: 1_850_000 }, { yearlyRate: "7.25", payments: 48 }));
const f = (t: string) => { const [w, d=""] = t.split("."); return { units: Number(w+d), decimals: d.length }; };
function show(stated: any, quote = q, limits = {}) {
  const t = performance.now();
  const r = matchFigures({ quote, stated, place: "US" }, limits);
  const ms = performance.now() - t;
  if (!r.ok) { console.log(r.failure); return; }
  const m = r.value;
  console.log(Object.keys(stated).join(), "fit", m.fitting, "tried", m.tried, "several", m.several, "cut", m.cutOffAfter, ms.toFixed(0) + "ms");
  for (const w of m.ways.slice(0, 5)) console.log("   =", JSON.stringify(w.departures), w.figures.payment, w.figures.lastPayment, w.figures.totalOfPayments, w.rowsWithOther, w.moreInterest);
  for (const w of m.nearest) console.log("   ~", JSON.stringify(w.departures), JSON.stringify(w.off));
  console.log(JSON.stringify(m.matters));
}
show({ payment: f("445.15"), lastPayment: f("445.36"), totalOfPayments: f("21367.41") });
show({ payment: f("445.16"), lastPayment: f("444.57"), totalOfPayments: f("21367.09"), financeCharge: f("2867.09"), apr: f("7.25") });
show({ payment: f("445.16"), lastPayment: f("444.89") });
show({ payment: f("445.15"), lastPayment: f("445.16"), totalOfPayments: f("21367.21") });
show({ payment: f("446.00") });
show({ payment: f("431.17"), lastPayment: f("431.90") });
show({ payment: f("431.17"), lastPayment: f("431.90"), totalOfPayments: f("20000") }, q, {most: 200000});
const day = 20423;
const dated = quoteOf(dealWith({ price: 3_850_000, down: {amount: 300000}, fees: [{name: "Documents", amount: {minor: 29900}, isTaxable: true, paid: "financed", isFinanceCharge: false},{name: "Title", amount: {minor: 7500}, isTaxable: false, paid: "atSigning", isFinanceCharge: false}], tradeIns: [{allowance: 920000, owed: 1105000}], taxes: [{ name: "County tax", rate: "6.25", on: ["price"], tradeInCredit: true, rebateCredit: false, rounding: "nearest", isFinanced: true }] } as any, { yearlyRate: "6.1", payments: 72, signed: day, firstPayment: day + 45 }));
console.log(dated.payment, dated.finalPayment, dated.totalOfPayments);
show({ payment: f("700.01"), lastPayment: f("701.90"), totalOfPayments: f("50000") }, dated, {most: 200000});
