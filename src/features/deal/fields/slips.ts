import { addMonths, isoDate, parseIsoDate, periodsPerYear } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import { linesOf } from "@/exchange/structure/lines";
import { rateText, shortDate } from "@/exchange/text";
import type { FieldName } from "./index";

/** What looks like a slip, asked where it was typed, with what may be meant. */
export type Slip = {
  sentence: string;
  /** What may be meant, in words, and where it would be typed how. */
  meant: string;
  take: { field: FieldName; text: string };
};

/** A yearly rate above this is seldom meant. */
const HIGH_RATE = 50;
const LIKELY_RATE = 36;
const MANY_YEARS = 40;
/** So few payments may be as many years. */
const FEW_PAYMENTS = 8;

/** What looks like a slip in a field of a deal; undefined where nothing does. */
export function slipAt(field: FieldName, inputs: DealFile): Slip | undefined {
  return SLIPS[field]?.(inputs);
}

const SLIPS: Partial<Record<FieldName, (inputs: DealFile) => Slip | undefined>> = {
  yearlyRate: ({ plan }) => rateSlip("yearlyRate", "yearlyRate" in plan ? plan.yearlyRate : undefined),
  "lease/yearlyRate": ({ plan }) =>
    rateSlip("lease/yearlyRate", "yearlyRate" in plan ? plan.yearlyRate : undefined),
  payments: inputs => termSlip(inputs, "payments"),
  "lease/payments": inputs => termSlip(inputs, "lease/payments"),
  "lease/residual": residualSlip,
  price: priceSlip,
  down: downSlip,
  firstPayment: firstPaymentSlip,
};

function rateSlip(field: FieldName, rate: string | number | undefined): Slip | undefined {
  const percent = Number(rate ?? 0);
  if (percent <= HIGH_RATE) return undefined;
  const meant = [10, 100, 1000].map(by => percent / by).find(each => each <= LIKELY_RATE);
  if (meant === undefined) return undefined;
  const text = rateText(meant);
  return {
    sentence: `${percent} % a year is much.`,
    meant: `${meant.toFixed(2)} %`,
    take: { field, text },
  };
}

/** Payments that were typed as years, or years as payments. */
function termSlip({ plan, find }: DealFile, field: FieldName): Slip | undefined {
  const { payments } = plan;
  if (payments === undefined || find === "payments") return undefined;
  const perYear = periodsPerYear(plan.frequency);
  const years = payments / perYear;
  if (years > MANY_YEARS && Number.isInteger(years)) {
    return {
      sentence: `${years} years are long.`,
      meant: `${years} payments`,
      take: { field, text: String(years) },
    };
  }
  if (perYear < 12 || payments > FEW_PAYMENTS) return undefined;
  return {
    sentence: payments === 1 ? "That is one payment." : `That is ${payments} payments.`,
    meant: payments === 1 ? "1 year" : `${payments} years`,
    take: { field, text: `${payments} y` },
  };
}

/** A price that lost a digit is less than what the trade-in is allowed. */
function priceSlip(inputs: DealFile): Slip | undefined {
  const { structure, find } = inputs;
  const price = Number(structure.price ?? 0);
  let allowance = 0;
  for (const tradeIn of linesOf(structure, "tradeIns")) allowance += Number(tradeIn.allowance ?? 0);
  if (find === "price" || price === 0 || allowance <= price) return undefined;
  const meant = (price * 10).toFixed(2);
  return Number(meant) <= allowance
    ? undefined
    : {
        sentence: "The price is less than the trade-in is allowed.",
        meant: groups(meant),
        take: { field: "price", text: meant },
      };
}

/** A cash down above the price has a digit too many. */
function downSlip({ structure, find }: DealFile): Slip | undefined {
  const price = Number(structure.price ?? 0);
  const { down } = structure;
  if (find === "down" || find === "price" || price === 0 || !down || !("amount" in down)) return undefined;
  const amount = Number(down.amount);
  if (amount <= price) return undefined;
  const meant = [10, 100, 1000].map(by => amount / by).find(each => each < price) ?? 0;
  return {
    sentence: "The cash down is above the price.",
    meant: groups(meant.toFixed(2)),
    take: { field: "down", text: meant.toFixed(2) },
  };
}

/** A residual of less than a hundredth of the price is a percent that was typed as an amount. */
function residualSlip({ structure, plan, find }: DealFile): Slip | undefined {
  const residual = "residual" in plan ? plan.residual : undefined;
  if (!residual || !("amount" in residual)) return undefined;
  const amount = Number(residual.amount);
  const isPercent = amount > 0 && amount <= 100 && amount * 100 <= Number(structure.price ?? 0);
  if (!isPercent || find === "price") return undefined;
  return {
    sentence: `A residual of ${groups(amount.toFixed(2))} is little.`,
    meant: `${rateText(amount)} % of the price`,
    take: { field: "lease/residual", text: `${rateText(amount)}%` },
  };
}

const LATE_IN_MONTHS = 9;

/** A first payment in the wrong year. */
function firstPaymentSlip(inputs: DealFile): Slip | undefined {
  const { signed, frequency } = inputs.plan;
  const firstPayment = "firstPayment" in inputs.plan ? inputs.plan.firstPayment : undefined;
  const [start, first] = [signed, firstPayment].map(iso =>
    iso === undefined ? undefined : parseIsoDate(iso),
  );
  const inMonths = 12 / periodsPerYear(frequency);
  if (start === undefined || first === undefined) return undefined;
  if (first <= addMonths(start, Math.max(LATE_IN_MONTHS, Math.ceil(2 * inMonths)))) return undefined;
  const before = addMonths(first, -12);
  const meant = before > start ? before : addMonths(start, Math.max(1, Math.round(inMonths)));
  return {
    sentence: "The first payment is long after the contract.",
    meant: shortDate(meant),
    take: { field: "firstPayment", text: isoDate(meant) },
  };
}

const groups = (plain: string) => plain.replace(/\B(?=(\d{3})+\.)/g, ",");
