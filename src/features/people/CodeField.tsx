import { useEffect, useId, useRef } from "react";

type Props = {
  label: string;
  value: string;
  onChange: (code: string) => void;
  trouble: string;
  hint: string;
};

/** A one-time code. */
export function CodeField({ label, value, onChange, trouble, hint }: Props) {
  const id = useId();
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), []);
  return (
    <div>
      <label htmlFor={id} className="mb-0.5 block text-faint text-sm">
        {label}
      </label>
      <input
        ref={field}
        id={id}
        className="field"
        value={value}
        maxLength={40}
        inputMode="text"
        autoComplete="one-time-code"
        aria-invalid={trouble !== ""}
        aria-describedby={`${id}-says`}
        onChange={({ target }) => onChange(target.value)}
      />
      <p id={`${id}-says`} role="status" className={`mt-1 text-sm ${trouble ? "text-error" : "text-faint"}`}>
        {trouble || hint}
      </p>
    </div>
  );
}
