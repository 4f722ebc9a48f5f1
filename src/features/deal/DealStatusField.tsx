import { lazy, memo, Suspense, useRef, useState } from "react";
import type { DealStatus } from "@/exchange/deal-document";
import { STATUS_NAMES } from "@/exchange/deal-document/status-names";
import { useFrame } from "./desk/desk-context";

// A deal is signed once: the screen starts without the code for it.
const SignDialog = lazy(() => import("./SignDialog").then(({ SignDialog: dialog }) => ({ default: dialog })));

/** How far the deal is. Signing has a button of its own, which asks: no key on a list does it. */
export const DealStatusField = memo(function DealStatusField() {
  const { heading, dispatch } = useFrame();
  const { status } = heading;
  const [isSigning, setSigning] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  const isSigned = status === "signed";
  const names = Object.entries(STATUS_NAMES).filter(([value]) => isSigned === (value === "signed"));
  return (
    <>
      <label className="flex items-center gap-2">
        <span className="sr-only">Status</span>
        <select
          className="field w-28"
          value={status}
          onChange={event =>
            dispatch({ type: "heading", change: { status: event.target.value as DealStatus } })
          }
        >
          {names.map(([value, name]) => (
            <option key={value} value={value}>
              {name}
            </option>
          ))}
        </select>
      </label>
      {!isSigned && (
        <button ref={button} type="button" className="btn btn-sm h-8.5" onClick={() => setSigning(true)}>
          Sign …
        </button>
      )}
      {isSigning && (
        <Suspense fallback={null}>
          <SignDialog
            onClose={() => {
              setSigning(false);
              button.current?.focus();
            }}
          />
        </Suspense>
      )}
    </>
  );
});
