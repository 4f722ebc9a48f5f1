import { lazy, Suspense } from "react";
import { linesOf } from "../fields";
import { TradeInRows } from "./TradeInRows";
import { type Opening, useStructure } from "./use-structure";

// Most deals have one trade-in or none: the screen starts without the code for it.
const TradeInGroup = lazy(() =>
  import("./TradeInGroup").then(({ TradeInGroup: group }) => ({ default: group })),
);

/** The trade-ins: the lines of one, which has its place without being added, or a group of more. */
export function TradeInLines({ opening }: { opening: Opening }) {
  const { structure } = useStructure();
  const rows = <TradeInRows opening={opening} />;
  return linesOf(structure, "tradeIns").length > 1 ? (
    <Suspense fallback={rows}>
      <TradeInGroup opening={opening} />
    </Suspense>
  ) : (
    rows
  );
}
