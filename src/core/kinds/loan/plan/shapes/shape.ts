import type { Result } from "../../../../result";
import type { Draft } from "../draft";

/**
 * A shape of loan: what one part of a plan does to the payments.
 *
 * Leaves the draft alone where the plan does not ask for it; fails with a sentence where what is asked
 * cannot be, or contradicts another part of the plan.
 */
export type Shape<Inputs> = (draft: Draft, plan: Inputs) => Result<Draft>;
