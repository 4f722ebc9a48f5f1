import { provideLeases, provideLoans } from "@/features/deal/option";
import * as lease from "@/features/deal/option/lease-of-desk";
import * as loan from "@/features/deal/option/loan-of-desk";
import * as rest from "@/features/deal/option/rest-of-desk";

/** Everything that deals of any kind need, without waiting for it. */
export function loadDesk(): void {
  provideLoans(loan, rest);
  provideLeases(lease);
}
