import { useEffect, useRef } from "react";
import { copyText } from "@/features/figures/copy-text";

type Props = { name: string; path: string; onClose: () => void };

/** A link by which somebody sets a password: shown once, to be handed over. */
export function HandedLink({ name, path, onClose }: Props) {
  const field = useRef<HTMLInputElement>(null);
  const address = `${location.origin}${path}`;
  useEffect(() => {
    field.current?.focus();
    field.current?.select();
  }, []);
  return (
    <div className="mt-2 grid gap-2 rounded-box border border-info px-3 py-2">
      <label className="grid gap-1">
        <span>
          Hand this link to <b>{name}</b>: it sets a password, once, within a day. Whoever has it can. It is
          not shown again.
        </span>
        <input ref={field} className="field font-mono text-sm" readOnly value={address} />
      </label>
      <div className="flex gap-2">
        <button
          type="button"
          className="btn btn-sm"
          onClick={() => void copyText(address, "The link is copied.")}
        >
          Copy it
        </button>
        <button type="button" className="btn btn-ghost btn-sm" onClick={onClose}>
          Close
        </button>
      </div>
    </div>
  );
}
