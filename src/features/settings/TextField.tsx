import { useId } from "react";

type Props = {
  label: string;
  value: string;
  /** More than one where it may have several. */
  lines?: number;
  onChange: (text: string) => void;
};

const LONGEST_LINE = 120;
const LONGEST_LINES = 600;

/** Words of the house: one line, or several. */
export function TextField({ label, value, lines = 1, onChange }: Props) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-0.5 block text-faint text-sm">
        {label}
      </label>
      {lines > 1 ? (
        <textarea
          id={id}
          className="field h-auto py-1"
          rows={lines}
          value={value}
          maxLength={LONGEST_LINES}
          onChange={({ target }) => onChange(target.value.replace(/(?!\n)\p{Cc}/gu, " "))}
        />
      ) : (
        <input
          id={id}
          className="field"
          value={value}
          maxLength={LONGEST_LINE}
          autoComplete="off"
          onChange={({ target }) => onChange(target.value.replace(/\p{Cc}/gu, " "))}
        />
      )}
    </div>
  );
}
