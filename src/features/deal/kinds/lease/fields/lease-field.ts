import type { Figure } from "@/core";
import { type Field, ofItsKind } from "../../../fields/field";
import { lineField } from "../../../fields/line-fields";
import { remembered } from "../../../fields/remembered";
import { LEASE_FIELDS, type LeasePlanFieldName } from "./lease-fields";
import { leaseTaxField } from "./lease-taxes";

const PREFIX = "lease/";

/** All about a field that leases have; undefined where it is none of a lease. A failure calls its figure as it is named, unless it says another. */
export const leaseField = remembered((name): Field | undefined => {
  if (!name.startsWith(PREFIX)) return leaseTaxField(name) ?? lineField(name);
  const named = name.slice(PREFIX.length) as Figure;
  return ofItsKind({ figure: () => named, ...LEASE_FIELDS[name as LeasePlanFieldName] });
});
