import {
  askingPayment,
  type DayNumber,
  type Deal,
  evaluate,
  type LeaseDeal,
  type LoanDeal,
  parseIsoDate,
  type Quote,
  type Result,
  success,
} from "@/core";
import type { DealToFit } from "@/core/programs";
import { type DealFile, isLease, readDeal } from "../deal-file";
import type { Applicant } from "../dealer";
import { turnInto } from "../kinds/kind/turning";
import type { LeaseFile } from "../kinds/lease";
import { LEASE_TURNING } from "../kinds/lease/turning";
import type { LoanFile } from "../kinds/loan";
import { LOAN_TURNING } from "../kinds/loan/turning";
import { fileReader } from "../reading";
import type { VehicleFile } from "../stock/stock.schema";

/** The line of a program's fee: another program's takes its place. */
export const PROGRAM_FEE = "program-fee";

/** What is known of a deal's vehicle. */
type VehicleToFit = Pick<
  VehicleFile,
  | "condition"
  | "modelYear"
  | "distance"
  | "distanceUnit"
  | "invoiceMinor"
  | "bookValueMinor"
  | "listPriceMinor"
  | "currency"
>;

/** What a deal is held against programs with besides its figures. */
export type ToFit = {
  vehicle: Partial<VehicleToFit> | undefined;
  applicant: Applicant | undefined;
  /** A day number. */
  today: DayNumber;
};

/** An option without the fee of a program that it was made with. */
export function withoutProgramFee<File extends DealFile>(inputs: File): File {
  const { fees } = inputs.structure;
  if (!fees?.some(({ id }) => id === PROGRAM_FEE)) return inputs;
  const structure = { ...inputs.structure, fees: fees.filter(({ id }) => id !== PROGRAM_FEE) };
  return { ...inputs, structure };
}

/**
 * An option as programs are held against it: as a loan and as a lease.
 *
 * @returns minor units, or a failure where the option itself has no answer
 */
export function dealToFit(inputs: DealFile, known: ToFit): Result<DealToFit> {
  const file = withoutProgramFee(inputs);
  const own = askedOf(file);
  if (!own.ok) return own;
  const other = turned(file, own.value.quote);
  const both = { own: own.value.deal, other: other && otherKind(other) };
  const facts = readFacts(file, known);
  if (!facts.ok) return facts;
  const isOwnLease = isLease(file);
  return success({
    loan: (isOwnLease ? both.other : both.own) as LoanDeal | null,
    lease: (isOwnLease ? both.own : both.other) as LeaseDeal | null,
    facts: facts.value,
    turned: file.kept ? null : isOwnLease ? "loan" : "lease",
  });
}

function askedOf(file: DealFile): Result<{ deal: Deal; quote: Quote }> {
  const read = readDeal(file);
  const quote = read.ok ? evaluate(read.value) : read;
  return quote.ok ? success({ deal: askingPayment<Deal>(quote.value.filled), quote: quote.value }) : quote;
}

/** An option as the other kind: what it has no answer for yet, such as a residual, a program may give. */
function otherKind(file: DealFile): Deal | null {
  const asked = askedOf(file);
  if (asked.ok) return asked.value.deal;
  const read = readDeal(file);
  return read.ok && read.value.find === "payment" ? askingPayment<Deal>(read.value) : null;
}

/** The same option as the other kind, as it was before or for the first time; a personal loan is no lease. */
export function turned(file: DealFile, quote: Quote): DealFile | null {
  if (isLease(file))
    return turnInto<LeaseFile, never, LoanFile>(file, quote as never, LEASE_TURNING as never, LOAN_TURNING);
  if (file.structure.purpose !== undefined) return null;
  return turnInto<LoanFile, never, LeaseFile>(file, quote as never, LOAN_TURNING as never, LEASE_TURNING);
}

function readFacts({ currency, structure, plan }: DealFile, { vehicle, applicant = {}, today }: ToFit) {
  const read = fileReader(currency);
  const amount = (name: string, typed: string | number | undefined) => read.amount("income", name, typed);
  // Amounts of a vehicle in another currency say nothing here.
  const ofVehicle = vehicle?.currency === currency ? vehicle : {};
  const { invoiceMinor = null, bookValueMinor = null, listPriceMinor = null } = ofVehicle;
  const facts: DealToFit["facts"] = {
    day: (plan.signed === undefined ? undefined : parseIsoDate(plan.signed)) ?? today,
    condition: vehicle?.condition ?? null,
    modelYear: vehicle?.modelYear ?? null,
    distance: vehicle?.distance ?? null,
    unit: vehicle?.distanceUnit ?? null,
    invoice: invoiceMinor,
    bookValue: bookValueMinor,
    listPrice: amount("list price", structure.listPrice) ?? listPriceMinor,
    score: applicant.score ?? null,
    income: amount("income", applicant.income),
    housing: amount("housing", applicant.housing),
    debts: amount("debts", applicant.debts),
    paidOff: amount("payment of loans that are paid off", applicant.paidOff),
  };
  const failure = read.failure();
  return failure ? { ok: false as const, failure } : success(facts);
}
