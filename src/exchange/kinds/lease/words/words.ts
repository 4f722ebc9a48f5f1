import { FREQUENCY_NAMES } from "@/core";
import type { KindWords } from "../../kind/words";
import type { LeaseFile } from "../file/file.schema";
import { leaseFigures } from "./figures";

/** A lease as it was typed, in words. */
export const LEASE_WORDS: KindWords<LeaseFile> = {
  figures: leaseFigures,
  term({ plan: { inAdvance, payments, frequency } }) {
    const { adjective } = FREQUENCY_NAMES[frequency];
    if (payments && inAdvance === payments) return "Lease, paid at once";
    return `Lease, ${payments ? `${payments} ${adjective}` : adjective}`;
  },
};
