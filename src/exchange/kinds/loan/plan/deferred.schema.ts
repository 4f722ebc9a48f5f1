import Type from "typebox";
import { exact, OneOf, Payments, seen } from "../../../schema";

/** A start without payments. */
export const DeferredMembers = {
  deferred: seen(
    Type.Optional(exact({ payments: seen(Payments), interest: seen(OneOf("accrues", "waived")) })),
  ),
};
