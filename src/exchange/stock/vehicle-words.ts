import { VEHICLE_CONDITIONS } from "@/core/programs/program";

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

/** How vehicles come to be sold. */
export const CONDITIONS = VEHICLE_CONDITIONS;

export type VehicleKind = (typeof VEHICLE_KINDS)[number];
export type Condition = (typeof CONDITIONS)[number];
