import { Target } from "lucide-react";

type BlankProps = {
  label: string;
  value: string;
  /** Whether it is the one being found, and shows its answer. */
  isFound?: boolean;
  isWrong?: boolean;
  /** Makes it the one that is found; left out where it cannot be. */
  onFind?: (() => void) | undefined;
  onChange: (text: string) => void;
  size?: "narrow" | "wide";
};

/** A live figure within a sentence: typed, or found. */
export function Blank({ label, value, isFound, isWrong, onFind, onChange, size = "wide" }: BlankProps) {
  return (
    <span className="find-host relative inline-block align-baseline font-sans text-base">
      <input
        aria-label={label}
        className={`field h-8 text-right ${isFound ? "found" : ""} ${size === "wide" ? "w-32" : "w-20"} ${onFind ? "pl-7" : ""}`}
        autoComplete="off"
        value={value}
        readOnly={isFound}
        aria-invalid={isWrong}
        title={onFind && !isFound ? "Type ? to find this figure" : undefined}
        onChange={event => onChange(event.target.value)}
        onKeyDown={event => {
          if (event.key !== "?" || !onFind) return;
          event.preventDefault();
          onFind();
        }}
      />
      {onFind && !isFound && (
        <button
          type="button"
          tabIndex={-1}
          title="Find this figure"
          className="find-this absolute inset-y-0 left-0.5 my-auto grid size-6 cursor-pointer place-items-center rounded-field text-primary"
          onClick={onFind}
        >
          <Target size={14} aria-hidden="true" />
          <span className="sr-only">Find this: {label}</span>
        </button>
      )}
    </span>
  );
}
