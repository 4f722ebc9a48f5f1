import type { TakenNow } from "@/exchange/rates/taken-now";
import { useNotation } from "../option/option-context";

const STATES: Record<TakenNow["state"], string> = {
  same: "",
  changed: "It has changed since.",
  gone: "It is offered no more.",
  ranOut: "It has run out since.",
};

/** The program that the open option was made with, what has become of it, and which of its limits the option is beyond by now. */
export function TakenFrom({ taken }: { taken: TakenNow }) {
  const { say } = useNotation();
  const { lender, program, state, what, broken } = taken;
  return (
    <div className="border-base-300 border-t px-4 py-1.5 text-sm">
      <p>
        This option is from{" "}
        <strong className="font-semibold">
          {lender} · {program}
        </strong>
        . {state !== "same" && <span className="text-warning">{STATES[state]}</span>}
      </p>
      {what.length > 0 && <p className="text-faint">{say(what.join("; "))}</p>}
      {broken.length > 0 && (
        <p className="text-warning">Beyond it now: {say(broken.map(({ words }) => words).join("; "))}</p>
      )}
    </div>
  );
}
