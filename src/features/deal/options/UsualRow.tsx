import type { ReactNode } from "react";
import type { DealFile } from "@/exchange/deal-file";
import type { Usual } from "../option/asked-kind";

type Props = {
  made: Usual;
  /** How many options more the deal can have. */
  room: number;
  onAdd: (made: readonly DealFile[]) => void;
  /** What is made, in words, with the figures that can be changed. */
  children: ReactNode;
  /** What is said of it below. */
  remark?: ReactNode;
};

/** Some options that are made in one step, or why they cannot be. */
export function UsualRow({ made, room, onAdd, children, remark }: Props) {
  const count = made.ok ? Math.min(made.options.length, room) : 0;
  const short = made.ok && room > 0 && made.options.length > room;
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-1 py-1.5">
      <div className="flex min-w-0 flex-wrap items-center gap-1.5">{children}</div>
      <span className="grow" />
      {!made.ok && <p className="text-faint text-sm">{made.sentence}</p>}
      {short && made.ok && (
        <p className="text-sm text-warning">
          {made.options.length} asked for, room for {room}
        </p>
      )}
      {count > 0 && made.ok && (
        <button type="button" className="btn btn-sm" onClick={() => onAdd(made.options)}>
          Make {count === 1 ? "one option" : `${count} options`}
        </button>
      )}
      {remark && <div className="basis-full text-faint text-sm">{remark}</div>}
    </div>
  );
}

type SmallProps = { label: string; value: string; className: string; onChange: (text: string) => void };

/** A figure within a line of words. */
export function Small({ label, value, className, onChange }: SmallProps) {
  return (
    <input
      className={`field text-right ${className}`}
      aria-label={label}
      inputMode="decimal"
      value={value}
      onChange={event => onChange(event.target.value)}
    />
  );
}
