import type { Program } from "@/core/programs";

/** What programs are for, in a list. */
export const PROGRAM_KINDS: Record<Program["kind"], string> = {
  loan: "loan",
  balloon: "balloon loan",
  flatRate: "flat-rate loan",
  lease: "lease",
};
