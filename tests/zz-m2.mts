import { dealWith, quoteOf } from "./core/deals";
import { matchFigures } from "@/core/match";
const q = quoteOf(dealWith({ price: 1_850_000 }, { yearlyRate: "7.25", payments: 72 }));
const f = (t: string) => { const [w, d=""] = t.split("."); return { units: Number(w+d), decimals: d.length }; };
const t = performance.now();
const r = matchFigures({ quote: q, stated: { payment: f("431.17"), lastPayment: f("431.90"), totalOfPayments: f("20000") } as any, place: "US" }, {});
console.log(performance.now()-t, r.ok && r.value.tried);
