import type { Figure } from "@/core";
import type { LeaseFile } from "@/exchange/kinds/lease";
import { type Field, good, type LeaseField } from "../../../fields/field";
import { lineField } from "../../../fields/line-fields";
import { remembered } from "../../../fields/remembered";
import { LEASE_FIELDS, type LeasePlanFieldName } from "./lease-fields";

const PREFIX = "lease/";

/** All about a field that leases have; undefined where it is none of a lease. */
export const leaseField = remembered((name): Field | undefined =>
  name.startsWith(PREFIX)
    ? ofLease(LEASE_FIELDS[name as LeasePlanFieldName], name.slice(PREFIX.length) as Figure)
    : lineField(name),
);

/**
 * A field that only leases have, as one of any deal: a loan has nothing in it.
 *
 * @param named what a failure of the core calls its figure, where the field does not say
 */
function ofLease({ unit, read, show, say, figure, beside, ...rest }: LeaseField, named: Figure): Field {
  return {
    ...rest,
    figure: inputs => (figure && inputs.plan.kind === "lease" ? figure(inputs as LeaseFile) : named),
    ...(unit && { unit: inputs => (inputs.plan.kind === "lease" ? unit(inputs as LeaseFile) : undefined) }),
    read: (text, file) => (file.plan.kind === "lease" ? read(text, file as LeaseFile) : good(file)),
    ...(beside && { beside: view => (view.kind === "lease" ? beside(view) : "") }),
    show: view => (view.kind === "lease" ? show(view) : ""),
    ...(say !== undefined && { say: say && (view => (view.kind === "lease" ? say(view) : "")) }),
  };
}
