import { useEffect, useId, useRef } from "react";

type Props = {
  label: string;
  value: string;
  onChange: (password: string) => void;
  /** What is wrong with it; empty where nothing is. */
  trouble?: string;
  /** What a new one has to be; a browser offers one then, and the one that is kept otherwise. */
  hint?: string;
  isNew?: boolean;
  isFirst?: boolean;
};

/** A password, with what is wrong with it where it was typed. */
export function PasswordField({ label, value, onChange, trouble = "", hint, isNew, isFirst }: Props) {
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
        ref={field}
        id={id}
        type="password"
        className="field"
        value={value}
        maxLength={200}
        autoComplete={isNew ? "new-password" : "current-password"}
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
