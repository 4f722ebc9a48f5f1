import { type KindName, kindNameOf, type Quote } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import type { AskedKind } from "../option/asked-kind";
import { LEASE_ASKED } from "./lease/asked";
import { LOAN_ASKED } from "./loan/asked";

/** What views, the palette and the bargaining ask of every kind. */
const ASKED: Record<KindName, unknown> = { loan: LOAN_ASKED, lease: LEASE_ASKED };

/** The same of the kind of a deal, or of what has the plan of one. */
export const askedOf = (of: Parameters<typeof kindNameOf>[0]): AskedKind<DealFile, Quote> =>
  ASKED[kindNameOf(of)] as AskedKind<DealFile, Quote>;
