import { type InputHTMLAttributes, useEffect, useId, useRef } from "react";

type Props = Omit<InputHTMLAttributes<HTMLInputElement>, "onChange" | "value" | "id"> & {
  label: string;
  value: string;
  onChange: (text: string) => void;
  /** What is wrong with what was typed; empty where nothing is. */
  trouble?: string;
  /** What is asked for, while nothing is wrong. */
  hint?: string;
  isFirst?: boolean;
};

/** A field with what is said of it below: what is asked for, or what is wrong with it. */
export function SaidField({ label, value, onChange, trouble = "", hint, isFirst, ...input }: Props) {
  const id = useId();
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (isFirst) field.current?.focus();
  }, [isFirst]);
  return (
    <div>
      <label htmlFor={id} className="mb-0.5 block text-faint text-sm">
        {label}
      </label>
      <input
        autoComplete="off"
        {...input}
        ref={field}
        id={id}
        className="field"
        value={value}
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
