import { useRef, useState } from "react";
import { useUntilPressed } from "@/features/focus/use-until-pressed";
import { OtherWay } from "@/features/typing/OtherWay";
import type { FieldName } from "../fields";
import type { Slip } from "../fields/slips";
import { plainFieldText } from "../option";
import { asideAt } from "../option/asides";
import { useNotation, useOption } from "../option/option-context";

/** Beside a field: what was understood of what is typed, and a question where it looks like a slip. */
export function FieldAside({ field }: { field: FieldName }) {
  const { option, act } = useOption();
  const { say } = useNotation();
  const [settled, setSettled] = useState<string>();
  const { slip: present, otherWay, ...aside } = asideAt(option, field);
  const understood = useUntilPressed(aside.understood);
  const kept = useRef<{ slip: Slip; value: string }>(undefined);
  const value = plainFieldText(option, field);
  // What can be read in two ways is still asked about once its field is left, until its figure is another one.
  if (option.typed[field] !== undefined) kept.current = present && { slip: present, value };
  const slip = present ?? (kept.current?.value === value ? kept.current.slip : undefined);
  const isAsked = slip !== undefined && slip.sentence + slip.meant !== settled;
  if (understood === undefined && !isAsked && otherWay === undefined) return null;
  return (
    <div className="mt-0.5 text-right text-sm leading-tight" role="status">
      {understood !== undefined && <p className="text-faint">= {understood}</p>}
      {otherWay !== undefined && (
        <OtherWay
          text={otherWay}
          onTake={() => {
            act({ type: "typed", field, text: otherWay });
            act({ type: "left", field });
          }}
        />
      )}
      {isAsked && (
        <p className="flex flex-wrap items-center justify-end gap-x-2 text-warning">
          {say(slip.sentence)}
          <button
            type="button"
            className="btn btn-xs"
            // A press that took the focus from the field would move what is pressed.
            onMouseDown={event => event.preventDefault()}
            onClick={() => {
              act({ type: "typed", field: slip.take.field, text: say(slip.take.text) });
              act({ type: "left", field: slip.take.field });
            }}
          >
            {say(slip.meant)}?
          </button>
          <button
            type="button"
            className="btn btn-ghost btn-xs"
            onMouseDown={event => event.preventDefault()}
            onClick={() => setSettled(slip.sentence + slip.meant)}
          >
            it is right
          </button>
        </p>
      )}
    </div>
  );
}
