import type { DayNumber } from "../calendar";
import type { Beyond } from "./driven";
import type { Exact } from "./exact";
import type { AfterEnd } from "./keep-for";
import type { Since } from "./time";

/** What some money is for. */
export type FlowName =
  | "cashPrice"
  | "atSigning"
  | "given"
  | "payment"
  | "payoff"
  | "prepaymentCharge"
  | "depositBack"
  | "handedBack"
  | "distance"
  | "purchase"
  | "endedEarly"
  | "worth";

/** Money that leaves the customer's pocket, in minor units; below 0 it comes in. */
export type Flow = { date: DayNumber; amount: number; name: FlowName };

/** What distance beyond the allowance costs, and when. */
export type DrivenBeyond = Beyond & { date: DayNumber };

/** How the vehicle counts on the day up to which it is kept. */
export type Worth = {
  age: Since;
  /** Whether it is the vehicle that was signed for, and not one that was leased after it. */
  isFirst: boolean;
  /**
   * Where a lease ends early: what is then owed, fee and all, in minor units, set against what a lessor gets for the
   * vehicle; whose that is beyond it; and whether distance is charged by itself, so that it does not count in the value.
   * Left out where the vehicle is sold.
   */
  settles?: { owed: number; surplus: "lessor" | "customer"; chargesDistance: boolean };
};

/** How a way to pay stands on the day up to which a vehicle is kept. */
export type How = "sold" | "endedEarly" | "boughtOut" | "bought" | "returned" | "handedBack";

/** A way to pay as it ends on some day. */
export type Ending = {
  how: How;
  /** How many of the way's flows have fallen. */
  taken: number;
  /** What falls on the day itself because it ends. */
  more: readonly Flow[];
  driven: readonly DrivenBeyond[];
  /** Null where no vehicle is left. */
  worth: Worth | null;
  /** What is owed on the vehicle, in minor units; null where it is not the customer's. */
  owed: number | null;
  /** How many leases are over, of one that is signed again. */
  leasesOver?: number;
};

/** What a customer does with the vehicle at the end. */
export type WayEnd = "sold" | "returned" | "bought";

/** One way to pay for a vehicle: money by date, and how it ends on any day. */
export type Way = {
  /** The number of the option, from 0; null for cash. */
  option: number | null;
  end: WayEnd;
  signed: DayNumber;
  /** Everything that does not hang on the day up to which the vehicle is kept, by date. */
  flows: readonly Flow[];
  /** When what was agreed is over; null for cash. */
  endDate: DayNumber | null;
  /**
   * How it ends on a day.
   *
   * @returns null where this way does not lead there
   */
  endingOn(date: DayNumber): Ending | null;
};

/** What a kind's ways are made with. */
export type WayTerms = {
  option: number;
  after: AfterEnd;
  /** The last day that is asked of. */
  until: DayNumber;
  /** The place whose law counts, by ISO 3166-1. */
  place: string | undefined;
  /** How many of a unit one unit of what is driven is; undefined where the two cannot be compared. */
  scaleOf: (unit: string) => Exact | undefined;
};

/** How many of some flows fall on or before a day. */
export function takenBy(flows: readonly Flow[], date: DayNumber): number {
  let [low, high] = [0, flows.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((flows[middle] as Flow).date <= date) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** A flow in a list, or none where it comes to nothing. */
export const flow = (date: DayNumber, amount: number, name: FlowName): Flow[] =>
  amount === 0 ? [] : [{ date, amount, name }];
