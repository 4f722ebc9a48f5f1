// What Tarn & Hollow has settled for its deals.
import type { Settings, SettingsDealer } from "@/exchange/settings";
import { DEMO_CURVES } from "./kept";

export const DEMO_SETTINGS: Settings = {
  format: "kellux-settings",
  version: 1,
  houseName: "Tarn & Hollow",
  currency: "USD",
  locale: "en-US",
  place: "US",
  appearance: "system",
  plan: { kind: "loan", yearlyRate: "6.49", payments: 60, frequency: "monthly", rounding: "nearest" },
  taxProfiles: [
    {
      name: "Marrow Bay, new vehicle",
      taxes: [{ name: "County tax", rate: "6.25", on: ["price", "fees", "extras"], tradeInCredit: true }],
    },
    {
      name: "Marrow Bay, used vehicle",
      taxes: [
        { name: "County tax", rate: "6.25", on: ["price", "fees"], tradeInCredit: "8000.00" },
        { name: "Harbour levy", rate: "0.4", on: ["price"], cap: "75.00" },
      ],
    },
    {
      name: "Across the sound",
      taxes: [
        { name: "Sound tax", rate: "5", on: ["price", "fees", "extras"], rebateCredit: true },
        { name: "Town tax", rate: "1.75", on: ["price"], capOn: "25000.00", rounding: "up" },
        { name: "Road fund", rate: "0.5", on: ["price"], financed: false },
      ],
    },
    {
      name: "Cargo bikes",
      taxes: [{ name: "Bike tax", rate: "2", on: ["price"], rounding: "down" }],
    },
    {
      name: "Tax in the price",
      taxIncluded: true,
      taxes: [{ name: "Sales tax", rate: "8.5", on: ["price", "fees", "extras"] }],
    },
  ],
  terms: [
    { payments: 48, yearlyRate: "5.89" },
    { payments: 60, yearlyRate: "6.19" },
    { payments: 72, yearlyRate: "6.49" },
    { payments: 84, yearlyRate: "6.89" },
  ],
  fees: [
    { id: "documents", name: "Documents", amount: "299.00", taxable: true },
    { id: "title", name: "Title and plates", amount: "148.50" },
    { id: "origination", name: "Origination", percentOf: "loanAmount", percent: "1.5", financeCharge: true },
    { id: "account", name: "Account fee", amount: "2.50", with: "eachPayment", financeCharge: true },
  ],
  extras: [
    { id: "service-contract", name: "Service contract, 5 years", amount: "1890.00" },
    { id: "gap-cover", name: "Gap cover", amount: "640.00" },
    { id: "awning", name: "Awning and tow bar", amount: "1275.00", taxable: true },
  ],
  limits: {
    mostRate: "24",
    mostTerm: 96,
    mostPersonalApr: "36",
    documentFee: { name: "Documents", most: "350.00" },
  },
  curves: DEMO_CURVES,
  papers: {
    address: "12 Quay Lane\nMarrow Bay",
    telephone: "555 0100",
    email: "desk@tarn-and-hollow.example",
    officer: "Ana Quill",
    standing: {
      latePayment: "If a payment is more than 10 days late, you pay 5 % of it.",
      security: "You give a security interest in the vehicle that is bought.",
    },
  },
};

/** What the house pays for its usual extras. */
export const DEMO_SETTINGS_DEALER: SettingsDealer = {
  extraCosts: { "service-contract": "1040.00", "gap-cover": "310.00", awning: "820.00" },
  reserve: {
    method: "presentValue",
    most: "2500.00",
    chargeback: { until: 6, then: "byInterest" },
  },
  officerShare: { percent: "12", of: "back", less: "200.00" },
  usualSpread: "1.25",
  mostSpread: "2",
};
