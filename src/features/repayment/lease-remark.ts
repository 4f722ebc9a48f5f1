import type { LeaseRow } from "@/core";

const REMARKS: Record<LeaseRow["kind"], string> = {
  atSigning: "at signing",
  payment: "",
  closing: "residual due",
};

/** What is special about a line of a lease's table. */
export const leaseRemark = ({ kind }: LeaseRow): string => REMARKS[kind];
