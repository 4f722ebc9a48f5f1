import { failure, success } from "../../../../result";
import type { Shape } from "./shape";

type Inputs = { kind: string; earlyFee?: readonly object[] };

/** A charge for paying early changes no payment; one in periods' interest needs interest on what is owed. */
export const earlyFee: Shape<Inputs> = (draft, { kind, earlyFee: fees = [] }) =>
  kind === "flatRate" && fees.some(fee => "interestPeriods" in fee)
    ? failure(
        "earlyFee",
        "A flat-rate loan has no interest on what is owed, so its charge for paying early cannot be periods of it; give an amount or a percent.",
      )
    : success(draft);
