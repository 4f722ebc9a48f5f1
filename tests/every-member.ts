import type {
  ExtraFile,
  FeeFile,
  RebateFile,
  StructureFile,
  TaxFile,
  TradeInFile,
} from "@/exchange/structure/structure.schema";

/** What a member of a structure comes to in one kind of deal: minor units more, or the sentence that refuses it. */
type Counts = number | RegExp;

/** A member of a structure beside a price of 20,000.00, and all that it must be found in. */
export type Member = {
  sample: Partial<StructureFile>;
  /** What is read of it wherever it is told. */
  said: readonly string[];
  /** The fields in which it stands, and what stands there. */
  fields: Readonly<Record<string, string>>;
  /** What it changes of the loan amount of a vehicle's loan and of a personal one, and of a lease's cost. */
  loan: Counts;
  personal: Counts;
  lease: Counts;
};

const NO_TRADE_IN = /has no trade-in/;
const NO_TAXES = /has no taxes/;

/** Every member that a structure can have; one that is new has to be told here, and then be everywhere. */
export const MEMBERS: { readonly [Name in keyof Required<StructureFile>]: Member } = {
  price: {
    sample: { price: "21111.11" },
    said: ["21,111.11"],
    fields: { price: "21,111.11" },
    loan: 1_111_11,
    personal: 1_111_11,
    lease: 1_111_11,
  },
  listPrice: {
    sample: { listPrice: "24444.44" },
    said: ["24,444.44"],
    fields: { "lease/listPrice": "24,444.44" },
    loan: 0,
    personal: 0,
    lease: 0,
  },
  taxIncluded: {
    sample: { taxIncluded: true, taxes: [{ name: "Member tax", rate: "10", on: ["price"] }] },
    said: ["in the price"],
    fields: {},
    loan: 0,
    personal: NO_TAXES,
    lease: 0,
  },
  taxes: {
    sample: { taxes: [{ name: "Member tax", rate: "10", on: ["price"] }] },
    said: ["Member tax", "10"],
    fields: { "taxes/0/rate": "10" },
    loan: 2_000_00,
    personal: NO_TAXES,
    // Of a lease the plan has the taxes.
    lease: 0,
  },
  fees: {
    sample: { fees: [{ name: "Member fee", amount: "111.11" }] },
    said: ["Member fee", "111.11"],
    fields: { "fees/0/amount": "111.11" },
    loan: 111_11,
    personal: 111_11,
    lease: 111_11,
  },
  extras: {
    sample: { extras: [{ name: "Member extra", amount: "222.22" }] },
    said: ["Member extra", "222.22"],
    fields: { "extras/0/amount": "222.22" },
    loan: 222_22,
    personal: 222_22,
    lease: 222_22,
  },
  rebates: {
    sample: { rebates: [{ name: "Member rebate", amount: "333.33" }] },
    said: ["Member rebate", "333.33"],
    fields: { "rebates/0/amount": "333.33" },
    loan: -333_33,
    personal: -333_33,
    lease: -333_33,
  },
  tradeIn: {
    sample: { tradeIn: { allowance: "4444.44", owed: "1111.11" } },
    said: ["4,444.44", "1,111.11"],
    fields: { allowance: "4,444.44", owed: "1,111.11" },
    loan: -3_333_33,
    personal: NO_TRADE_IN,
    lease: -3_333_33,
  },
  tradeIns: {
    sample: { tradeIns: [{ name: "Member van", allowance: "5555.55", owed: "1222.22" }] },
    said: ["Member van", "5,555.55", "1,222.22"],
    fields: { "tradeIns/0/allowance": "5,555.55", "tradeIns/0/owed": "1,222.22" },
    loan: -4_333_33,
    personal: NO_TRADE_IN,
    lease: -4_333_33,
  },
  down: {
    sample: { down: { amount: "666.66" } },
    said: ["666.66"],
    fields: { down: "666.66" },
    loan: -666_66,
    personal: -666_66,
    lease: -666_66,
  },
  deposit: {
    sample: { deposit: "777.77" },
    said: ["777.77"],
    fields: { deposit: "777.77" },
    loan: -777_77,
    personal: -777_77,
    lease: -777_77,
  },
  purpose: {
    sample: { purpose: "Member purpose" },
    said: ["Member purpose"],
    fields: { purpose: "Member purpose" },
    loan: 0,
    personal: 0,
    lease: /has no purpose/,
  },
  payoffs: {
    sample: { payoffs: [{ name: "Member debt", amount: "888.88" }] },
    said: ["Member debt", "888.88"],
    fields: { "payoffs/0/amount": "888.88" },
    loan: /of a personal loan only/,
    // It is paid out of the loan, and makes it no larger.
    personal: 0,
    lease: /of a personal loan only/,
  },
  names: {
    sample: { names: { price: "Member name" } },
    said: ["Member name"],
    fields: { "names/price": "Member name" },
    loan: 0,
    personal: 0,
    lease: 0,
  },
};

/** A line of each list, and what each member of it changes it to. */
export const LINES: {
  readonly [List in "taxes" | "fees" | "extras" | "rebates" | "tradeIns"]: {
    line: NonNullable<StructureFile[List]>[number];
    members: { readonly [Name in keyof Required<NonNullable<StructureFile[List]>[number]>]: object };
  };
} = {
  taxes: {
    line: { name: "Tax", rate: "10", on: ["price"] } satisfies TaxFile,
    members: {
      name: { name: "Other" },
      rate: { rate: "11" },
      on: { on: ["price", "fees"] },
      tradeInCredit: { tradeInCredit: "1234.00" },
      rebateCredit: { rebateCredit: true },
      rounding: { rounding: "up" },
      capOn: { capOn: "1234.00" },
      cap: { cap: "123.00" },
      financed: { financed: false },
    },
  },
  fees: {
    line: { name: "Fee", amount: "100.00" } satisfies FeeFile,
    members: {
      id: {},
      name: { name: "Other" },
      amount: { amount: "101.00" },
      percentOf: { amount: undefined, percentOf: "price", percent: "1" },
      percent: { amount: undefined, percentOf: "loanAmount", percent: "2" },
      taxable: { taxable: true },
      financed: { financed: false },
      financeCharge: { financeCharge: true },
      with: { with: "eachPayment" },
      keptBack: { keptBack: true },
    },
  },
  extras: {
    line: { name: "Extra", amount: "100.00" } satisfies ExtraFile,
    members: {
      id: {},
      name: { name: "Other" },
      amount: { amount: "101.00" },
      percentOf: { amount: undefined, percentOf: "price", percent: "1" },
      percent: { amount: undefined, percentOf: "totalOfPayments", percent: "2" },
      taxable: { taxable: true },
      financed: { financed: false },
      financeCharge: { financeCharge: true },
      with: { with: "lastPayment" },
      months: { months: 36 },
      optional: { optional: { voluntary: true, costDisclosed: true, askedForInWriting: false } },
    },
  },
  rebates: {
    line: { name: "Rebate", amount: "100.00" } satisfies RebateFile,
    members: {
      id: {},
      name: { name: "Other" },
      amount: { amount: "101.00" },
      beforeTax: { beforeTax: true },
    },
  },
  tradeIns: {
    line: { name: "Van", allowance: "100.00", owed: "10.00" } satisfies TradeInFile,
    members: { id: {}, name: { name: "Other" }, allowance: { allowance: "101.00" }, owed: { owed: "11.00" } },
  },
};
