/** What vehicles there are. */
export const VEHICLE_KINDS = [
  "car",
  "van",
  "campervan",
  "truck",
  "bus",
  "motorcycle",
  "bicycle",
  "trailer",
  "boat",
  "machine",
  "other",
] as const;

/** How vehicles come to be sold: a demonstrator was driven by the dealer alone. */
export const CONDITIONS = ["new", "used", "demonstrator"] as const;

export type VehicleKind = (typeof VEHICLE_KINDS)[number];
export type Condition = (typeof CONDITIONS)[number];
