import type { DealUse } from "@/exchange/deal-document";
import { useDesk } from "../desk/desk-context";
import { useIsFrozen } from "../option/option-context";

/** Whether the customer buys for personal or for business use: the law of consumer credit is for the former. */
export function UseOfDeal() {
  const { state, dispatch } = useDesk();
  const { use = "personal" } = state.heading;
  const isFrozen = useIsFrozen();
  if (isFrozen) return <p className="text-sm">For {use} use</p>;
  return (
    <label className="flex items-center gap-2 text-sm">
      The customer buys for
      <select
        className="choice-in-words"
        value={use}
        onChange={({ target }) => dispatch({ type: "heading", change: { use: target.value as DealUse } })}
      >
        <option value="personal">personal use</option>
        <option value="business">business use</option>
      </select>
    </label>
  );
}
