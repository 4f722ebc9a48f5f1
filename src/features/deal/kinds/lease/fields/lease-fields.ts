import {
  HIGHEST_BALLOON_PERCENT,
  HIGHEST_YEARLY_RATE,
  MOST_PAYMENTS,
  periodsPerYear,
  wholeText,
} from "@/core";
import type { LeaseFile, LeasePlanFile } from "@/exchange/kinds/lease";
import { withOptional } from "@/exchange/members";
import { factorText, rateText, termText } from "@/exchange/text";
import { amountReader, foundAmount, readAmount, readPercent, typedAmount } from "../../../fields/amount-text";
import { readContractDate } from "../../../fields/date-text";
import { bad, good, type LeaseField, type LeaseView, type Reading } from "../../../fields/field";
import { NO_DATE, typedDate } from "../../../fields/shown-date";
import { readTerm, termBeside } from "../../../fields/term-text";
import { LEASE_KNOWN_FIELD } from "./lease-known";

const put = <Key extends keyof LeasePlanFile>(
  file: LeaseFile,
  key: Key,
  value: LeasePlanFile[Key] | undefined,
): Reading<LeaseFile> => good({ ...file, plan: withOptional(file.plan, key, value) });

/** An amount of the plan, by its own name; nothing typed takes it out. */
function amountOf(
  label: string,
  key: "earlyFee" | "dispositionFee" | "purchaseFee" | "roundingStep",
): LeaseField {
  return {
    label,
    read: amountReader<LeaseFile>((file, amount) => ({
      ...file,
      plan: withOptional(file.plan, key, amount),
    })),
    show: ({ inputs }) => typedAmount(inputs, inputs.plan[key]),
  };
}

/** How many units of distance a year; nothing typed is 0. */
function distanceOf(label: string, key: "perYear" | "expected"): LeaseField {
  return {
    label,
    typed: "count",
    unit: ({ plan }) => plan.distance?.unit,
    read: (text, file) => {
      const { distance } = file.plan;
      if (!distance) return good(file);
      const digits = text.replace(/[,\s]/g, "").replace(/[a-z]+$/i, "");
      if (digits !== "" && !/^\d{1,6}$/.test(digits))
        return bad(`“${text}” is not a distance a year; type one such as 12,000.`);
      if (digits === "" && key === "expected") {
        const { expected: _, ...rest } = distance;
        return put(file, "distance", rest);
      }
      return put(file, "distance", { ...distance, [key]: Number(digits) });
    },
    show: ({ inputs }) => {
      const typed = inputs.plan.distance?.[key];
      return typed === undefined ? "" : wholeText(typed);
    },
  };
}

/** The fields of a lease's plan. */
export const LEASE_FIELDS = {
  "lease/listPrice": {
    label: "List price",
    read: amountReader<LeaseFile>((file, listPrice) => ({
      ...file,
      structure: withOptional(file.structure, "listPrice", listPrice),
    })),
    show: ({ inputs }) => typedAmount(inputs, inputs.structure.listPrice),
  },
  "lease/moneyFactor": {
    label: "Money factor",
    typed: "moneyFactor",
    finds: "moneyFactor",
    foundAs: ["moneyFactor"],
    read: readFactor,
    show: ({ inputs, quote }) =>
      inputs.find === "moneyFactor"
        ? quote
          ? factorText(quote.moneyFactor)
          : ""
        : String(inputs.plan.moneyFactor ?? ""),
    say: null,
  },
  "lease/yearlyRate": {
    label: "Yearly rate",
    finds: "yearlyRate",
    foundAs: ["yearlyRate"],
    unit: () => "%",
    read: readLeaseRate,
    show: ({ inputs, quote }) =>
      inputs.find === "yearlyRate"
        ? quote
          ? rateText(quote.yearlyRate)
          : ""
        : String(inputs.plan.yearlyRate ?? ""),
    say: null,
  },
  "lease/payments": {
    label: "Number of payments",
    typed: "payments",
    finds: "payments",
    foundAs: ["payments"],
    beside: view => termBeside(shownPayments(view), view.inputs.plan),
    read: (text, file) => stillAtOnce(readTerm(text, file), file),
    show: view => String(shownPayments(view) ?? ""),
    say: view => {
      const payments = shownPayments(view);
      if (!payments) return "";
      return `${payments} (${termText(payments, periodsPerYear(view.inputs.plan.frequency))})`;
    },
  },
  "lease/known": LEASE_KNOWN_FIELD,
  "lease/signed": {
    label: "Signed on",
    type: "date",
    read: (text, file) => {
      const date = readContractDate(text);
      return text !== "" && date === undefined ? bad(NO_DATE) : put(file, "signed", date);
    },
    show: ({ inputs }) => typedDate(inputs.plan.signed),
  },
  "lease/inAdvance": {
    label: "Payments at signing",
    typed: "count",
    read: (text, file) => {
      if (text === "") return put(file, "inAdvance", undefined);
      if (/^all$/i.test(text)) return put(file, "inAdvance", file.plan.payments ?? 1);
      const count = /^\d{1,4}$/.test(text) ? Number(text) : -1;
      return count >= 0 && count <= MOST_PAYMENTS
        ? put(file, "inAdvance", count)
        : bad(`“${text}” is not a number of payments at signing; type 0, 1, more, or all.`);
    },
    show: ({ inputs }) => String(inputs.plan.inAdvance ?? 0),
  },
  "lease/residual": {
    label: "Residual",
    finds: "residual",
    foundAs: ["residual", "residualPercent"],
    unit: inputs => (isPercentResidual(inputs) ? "%" : undefined),
    read: readResidual,
    show: shownResidual,
    say: view => {
      const { residual } = view.inputs.plan;
      const shown = shownResidual(view);
      if (!residual || !("percent" in residual) || shown === "") return shown;
      return `${shown} % of the ${residual.of === "price" ? "agreed price" : "list price"}`;
    },
  },
  "lease/acquisitionFee": {
    label: "Acquisition fee",
    read: amountReader<LeaseFile>((file, amount) => ({
      ...file,
      plan: withOptional(
        file.plan,
        "acquisitionFee",
        amount === undefined ? undefined : { ...file.plan.acquisitionFee, amount },
      ),
    })),
    show: ({ inputs }) => typedAmount(inputs, inputs.plan.acquisitionFee?.amount),
  },
  "lease/securityDeposit": {
    label: "Security deposit",
    read: readSecurity,
    show: shownSecurity,
    say: view => {
      const { securityDeposit } = view.inputs.plan;
      const isStep = securityDeposit && "roundedUpTo" in securityDeposit;
      return `${isStep ? "the payment rounded up to " : ""}${shownSecurity(view)}`;
    },
  },
  "lease/distance": { ...distanceOf("Distance a year", "perYear"), say: null },
  "lease/beyond": {
    label: "Price beyond it",
    typed: "asItIs",
    unit: ({ plan }) => (plan.distance ? `/ ${plan.distance.unit}` : undefined),
    read: (text, file) => {
      const { distance } = file.plan;
      if (!distance) return good(file);
      const plain = text.replace(/^\./, "0.") || "0";
      return /^\d{1,6}(\.\d{1,6})?$/.test(plain)
        ? put(file, "distance", { ...distance, beyond: plain })
        : bad(`“${text}” is not the price of a ${distance.unit}; type one such as 0.22.`);
    },
    show: ({ inputs }) => String(inputs.plan.distance?.beyond ?? ""),
    say: null,
  },
  "lease/expected": { ...distanceOf("Expected a year", "expected"), say: null },
  "lease/dispositionFee": amountOf("Fee when handed back", "dispositionFee"),
  "lease/purchaseFee": amountOf("Fee when bought", "purchaseFee"),
  "lease/earlyFee": amountOf("Fee for ending early", "earlyFee"),
  "lease/roundingStep": { ...amountOf("Rounded in steps of", "roundingStep"), say: null },
} satisfies Record<string, LeaseField>;

export type LeasePlanFieldName = keyof typeof LEASE_FIELDS;

/** The fields of a lease's plan, in the order in which they stand. */
export const LEASE_FIELD_NAMES = Object.keys(LEASE_FIELDS) as LeasePlanFieldName[];

function readFactor(text: string, file: LeaseFile): Reading<LeaseFile> {
  if (text === "") return put(file, "moneyFactor", undefined);
  const plain = text.replace(/^\./, "0.");
  return /^[01](\.\d{1,8})?$/.test(plain) && Number(plain) * 2400 <= HIGHEST_YEARLY_RATE
    ? put(file, "moneyFactor", plain)
    : bad(`“${text}” is not a money factor; type one such as 0.00225, which stands for 5.4 % a year.`);
}

function readLeaseRate(text: string, file: LeaseFile): Reading<LeaseFile> {
  if (text === "") return put(file, "yearlyRate", undefined);
  const rate = readPercent(text);
  return rate === undefined || Number(rate) > HIGHEST_YEARLY_RATE
    ? bad(
        `“${text}” is not a yearly rate; type a percent from 0 to ${wholeText(HIGHEST_YEARLY_RATE)}, such as 5.4.`,
      )
    : put(file, "yearlyRate", rate);
}

/** What is paid at once stays so over another term. */
function stillAtOnce(reading: Reading<LeaseFile>, { plan }: LeaseFile): Reading<LeaseFile> {
  if (!reading.ok || plan.payments === undefined || plan.inAdvance !== plan.payments) return reading;
  const { payments } = reading.file.plan;
  return payments === undefined ? reading : put(reading.file, "inAdvance", payments);
}

function shownPayments({ inputs: { find, plan }, quote }: LeaseView): number | undefined {
  return find === "payments" ? quote?.payments : plan.payments;
}

/** Whether the residual stands as a percent, found or given. */
function isPercentResidual({ find, plan }: LeaseFile): boolean {
  if (find === "residualPercent") return true;
  return find !== "residual" && plan.residual !== undefined && "percent" in plan.residual;
}

function shownResidual({ inputs, quote }: LeaseView): string {
  const { find, plan } = inputs;
  if (find === "residual") return foundAmount(inputs, quote?.residual);
  const residual = find === "residualPercent" ? quote?.filled.plan.residual : plan.residual;
  if (!residual) return "";
  return "percent" in residual ? String(residual.percent) : typedAmount(inputs, residual.amount);
}

/** A residual is typed as an amount or a percent; a percent sign makes it a percent wherever it is typed. */
function readResidual(text: string, file: LeaseFile): Reading<LeaseFile> {
  const { residual } = file.plan;
  if (text === "") return put(file, "residual", undefined);
  const isPercent = residual !== undefined && "percent" in residual;
  if (!isPercent && !text.endsWith("%")) {
    const read = readAmount(text, file.currency);
    return "amount" in read ? put(file, "residual", { amount: read.amount }) : bad(read.sentence);
  }
  const percent = readPercent(text);
  const of = isPercent ? residual.of : file.structure.listPrice === undefined ? "price" : "listPrice";
  return percent === undefined || Number(percent) > HIGHEST_BALLOON_PERCENT
    ? bad(`“${text}” is not a percent of the price; type one such as 43.6.`)
    : put(file, "residual", { percent, ...(of && { of }) });
}

function shownSecurity({ inputs }: LeaseView): string {
  const { securityDeposit } = inputs.plan;
  if (!securityDeposit) return "";
  const typed = "amount" in securityDeposit ? securityDeposit.amount : securityDeposit.roundedUpTo;
  return typedAmount(inputs, typed);
}

/** A security deposit is an amount, or the payment rounded up to a step: whichever it is already. */
function readSecurity(text: string, file: LeaseFile): Reading<LeaseFile> {
  const { securityDeposit } = file.plan;
  if (text === "") return put(file, "securityDeposit", undefined);
  const read = readAmount(text, file.currency);
  if (!("amount" in read)) return bad(read.sentence);
  return put(
    file,
    "securityDeposit",
    securityDeposit && "roundedUpTo" in securityDeposit
      ? { roundedUpTo: read.amount }
      : { amount: read.amount },
  );
}
