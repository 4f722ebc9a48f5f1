import { useId, useState } from "react";
import { LONGEST_REASON } from "@/exchange/people";
import type { NeedsRelease } from "@/exchange/releases";
import { dealPeopleApi } from "@/features/api/people";
import { reasonOf } from "@/features/api/reason-of";
import { useMay } from "@/features/people/me-context";

type Props = {
  dealId: string;
  /** The deal's version in view. */
  version: number;
  open: readonly NeedsRelease[];
  /** What is done once it is released: "signed", "reopened". */
  before: string;
  onReleased: () => void;
};

/** What a manager has to release first, and the reason where it is a manager who looks. */
export function ToRelease({ dealId, version, open, before, onReleased }: Props) {
  const id = useId();
  const mayRelease = useMay("release");
  const [reason, setReason] = useState("");
  const [trouble, setTrouble] = useState("");
  const release = async () => {
    for (const each of open) {
      const answer = await dealPeopleApi.release(dealId, { version, ...each, reason });
      if (answer.kind !== "done") return setTrouble(reasonOf(answer));
    }
    onReleased();
  };
  return (
    <div className="grid gap-2" data-release="">
      <p>
        Before it is {before} a manager has to release this:{" "}
        <b>{open.map(({ detail }) => detail).join("; ")}</b>.
      </p>
      {mayRelease ? (
        <form
          className="grid gap-1"
          onSubmit={event => {
            event.preventDefault();
            void release();
          }}
        >
          <label htmlFor={id} className="text-faint text-sm">
            Why it is released; it stays with the deal
          </label>
          <div className="flex gap-2">
            <input
              id={id}
              className="field"
              value={reason}
              maxLength={LONGEST_REASON}
              onChange={({ target }) => setReason(target.value)}
            />
            <button type="submit" className="btn btn-primary btn-sm" disabled={reason.trim() === ""}>
              Release it
            </button>
          </div>
          <p role="alert" className="text-error text-sm">
            {trouble}
          </p>
        </form>
      ) : (
        <p className="text-faint text-sm">
          A manager opens this deal at their own screen, or here: lock this screen, and somebody else signs
          in.
        </p>
      )}
    </div>
  );
}
