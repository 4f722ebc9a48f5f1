/** How far may be driven, in units of distance, and what each beyond it costs: minor units as a fraction. */
export type Distance = {
  perYear: number;
  unit: string;
  /** Price of a unit beyond, in whole units of the currency, as typed. */
  beyond: string;
  /** What the customer expects to drive a year. */
  expected: number | null;
};
