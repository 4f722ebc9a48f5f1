import Type from "typebox";
import { exact, OneOf, Payments } from "../../../schema";

/** A start without payments. */
export const DeferredMembers = {
  deferred: Type.Optional(exact({ payments: Payments, interest: OneOf("accrues", "waived") })),
};
