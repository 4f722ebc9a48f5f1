// What the dealer alone knows of some deals of the demo scenario, option by option.
import type { Applicant, DealerFile } from "@/exchange/dealer";

type Known = { options: DealerFile[]; applicant?: Applicant };

const RESERVE: DealerFile["reserve"] = {
  method: "presentValue",
  most: "2500.00",
  chargeback: { until: 6, then: "byInterest" },
};
const SHARE: DealerFile["officerShare"] = { percent: "12", of: "back", less: "200.00" };
const HOLDBACK = { name: "Holdback", amount: "837.00", in: "front", shared: false } as const;

/** By customer and vehicle. */
export const INCOME: Record<string, Known> = {
  "Aurelio Pennant no. 1190": {
    applicant: { score: 704, income: "5200.00", housing: "1100.00", debts: "640.00" },
    options: [
      {
        cost: "36100.00",
        feeCosts: ["0.00", null],
        extraCosts: ["1040.00"],
        extraChargebacks: [{ term: 60, untilDays: 30 }],
        tradeInValues: ["8700.00"],
        others: [HOLDBACK],
        buyRate: "5.25",
        reserve: RESERVE,
        officerShare: SHARE,
        lenderAnswers: [
          {
            lender: "Quillon Mutual",
            state: "approved",
            on: "2026-11-24",
            amount: "42000.00",
            payments: 72,
            buyRate: "5.25",
            stipulations: [{ name: "Proof of income", on: "2026-11-24" }, { name: "Proof of insurance" }],
            goodThrough: "2026-12-24",
          },
          { lender: "Bramblewick Credit", state: "declined", on: "2026-11-24" },
        ],
      },
    ],
  },
  "Amaru Pelling no. 1190": {
    options: [
      {
        cost: "38450.00",
        tradeInValues: ["2500.00"],
        buyRate: "5.25",
        reserve: RESERVE,
        officerShare: SHARE,
      },
      {
        cost: "38450.00",
        tradeInValues: ["2500.00"],
        buyRate: "5.25",
        reserve: RESERVE,
        officerShare: SHARE,
        spreadReason: { reason: "budget" },
      },
      {
        cost: "38450.00",
        tradeInValues: ["2500.00"],
        buyRate: "0.00195",
        reserve: { method: "presentValue" },
        officerShare: SHARE,
      },
    ],
  },
  "Liesel Thornquist no. 1214": {
    options: [
      {
        cost: "32440.00",
        tradeInValues: ["12300.00"],
        buyRate: "5.00",
        reserve: RESERVE,
        officerShare: SHARE,
        lenderAnswers: [
          {
            lender: "Saltmarsh Savings",
            state: "approved",
            on: "2026-11-16",
            amount: "26000.00",
            payments: 60,
            buyRate: "5.00",
            stipulations: [{ name: "Proof of income", on: "2026-11-17" }, { name: "Signed title" }],
          },
        ],
      },
    ],
  },
  "Maren Oakhollow no. 2041": {
    options: [
      {
        cost: "28020.00",
        others: [{ name: "Preparation", amount: "-280.00", in: "front" }],
        buyRate: "5.15",
        reserve: { method: "interestShare", share: "75", chargeback: { until: 3, then: "byTime" } },
        officerShare: SHARE,
        spreadReason: { reason: "competingOffer" },
      },
    ],
  },
};
