import { Target } from "lucide-react";
import { lazy, memo, Suspense, useRef } from "react";
import type { Field, FieldName } from "../fields";
import {
  fieldBeside,
  fieldError,
  fieldIn,
  fieldText,
  fieldUnit,
  isFoundIn,
  isStale,
  shownQuote,
} from "../option";
import { type OpenOption, useOption } from "../option/option-context";
import { CalendarButton } from "./CalendarButton";
import { fieldId } from "./field-id";

// Few deals are looked at once they are signed: the screen starts without the code for it.
const SignedFigure = lazy(() =>
  import("./SignedFigure").then(({ SignedFigure: figure }) => ({ default: figure })),
);

export type FigureFieldProps = {
  field: FieldName;
  /** Where the visible label stands elsewhere, the field is named for those who do not see it. */
  hideLabel?: boolean;
  /** What it is called in this deal, where that is not its label. */
  called?: string | undefined;
  /** What stands above the field where the place says the rest of its label. */
  shortLabel?: string;
  /** Where a FieldError stands at another place of the form. */
  errorElsewhere?: boolean;
};

/** One figure to type. Answers move with every key; a figure that cannot be read says why right here. */
export function FigureField(props: FigureFieldProps) {
  const { option, act, isFrozen } = useOption();
  const { field, called, hideLabel = false, shortLabel, errorElsewhere } = props;
  if (isFrozen) {
    return (
      <Suspense fallback={null}>
        <SignedFigure {...props} />
      </Suspense>
    );
  }
  const found = isFoundIn(option, field);
  return (
    <div className="min-w-0">
      <FieldInput
        field={field}
        entry={fieldIn(option, field)}
        called={called}
        hideLabel={hideLabel}
        shortLabel={shortLabel}
        text={fieldText(option, field)}
        unit={fieldUnit(option, field)}
        beside={fieldBeside(option, field)}
        found={found}
        stale={found && shownQuote(option) !== null && isStale(option)}
        isWrong={fieldError(option, field) !== undefined}
        act={act}
      />
      {!errorElsewhere && <FieldError field={field} />}
    </div>
  );
}

type InputProps = {
  field: FieldName;
  /** All about it. */
  entry: Field;
  called: string | undefined;
  hideLabel: boolean;
  shortLabel: string | undefined;
  text: string;
  unit: string | undefined;
  beside: string;
  found: boolean;
  stale: boolean;
  isWrong: boolean;
  act: OpenOption["act"];
};

const KEYS = { date: "Alt+ArrowDown", figure: undefined, name: undefined };
const LOOKS = { date: "pr-8", figure: "text-right", name: "" };

/** Drawn again only where something of it has changed: a key changes few of many fields. */
const FieldInput = memo(function FieldInput(props: InputProps) {
  const { field, entry, called, hideLabel, shortLabel, text, unit, beside, found, stale, isWrong, act } =
    props;
  const { label, finds, type = "figure" } = entry;
  const id = fieldId(field);
  return (
    <>
      <label htmlFor={id} className={hideLabel ? "sr-only" : "mb-0.5 block text-faint text-sm"}>
        {shortLabel ?? called ?? label}
        {found && <span className="sr-only"> (being found)</span>}
      </label>
      <div className="find-host relative">
        <input
          id={id}
          type="text"
          inputMode={type === "figure" ? "decimal" : undefined}
          autoComplete="off"
          aria-label={shortLabel && label}
          // What is typed moves nothing outside of its field: a key lays out less.
          className={`field block [contain:size_layout] ${found ? "found" : ""} ${stale ? "stale" : ""} ${LOOKS[type]} ${unit ? "pr-7" : ""}`}
          value={text}
          readOnly={found}
          aria-invalid={isWrong}
          aria-describedby={isWrong ? `${id}-error` : undefined}
          aria-keyshortcuts={finds ? "?" : KEYS[type]}
          title={finds && !found ? "Type ? to find this figure" : undefined}
          onChange={event => act({ type: "typed", field, text: event.target.value })}
          onBlur={() => act({ type: "left", field })}
          onKeyDown={event => {
            if (event.key === "ArrowDown" && event.altKey && type === "date") {
              event.currentTarget.parentElement?.querySelector<HTMLElement>("[data-calendar]")?.click();
            } else if (event.key === "?" && finds) act({ type: "find", figure: finds });
            else return;
            event.preventDefault();
          }}
        />
        {finds && !found && (
          <button
            type="button"
            // The keyboard has its question mark.
            tabIndex={-1}
            title="Find this figure"
            className="find-this absolute inset-y-0 left-1 my-auto grid size-6 cursor-pointer place-items-center rounded-field text-primary"
            onClick={() => act({ type: "find", figure: finds })}
          >
            <Target size={15} aria-hidden="true" />
            <span className="sr-only">Find this: {label}</span>
          </button>
        )}
        {beside && (
          <span className="field-beside pointer-events-none absolute inset-y-0 left-2.5 grid place-items-center text-faint text-sm">
            {beside}
          </span>
        )}
        {type === "date" && <CalendarButton field={field} label={label} />}
        {unit && (
          <span
            aria-hidden="true"
            className="pointer-events-none absolute inset-y-0 right-2.5 grid place-items-center"
          >
            {unit}
          </span>
        )}
      </div>
    </>
  );
});

// What is understood of what is typed comes with what understands it.
const FieldAside = lazy(() => import("./FieldAside").then(({ FieldAside: aside }) => ({ default: aside })));

/** Where slips are asked about that were made before. */
const ASKED = /^(lease\/)?(yearlyRate|payments|residual|price|down|firstPayment)$/;

/** Why a field's figure cannot be read, or gives no answer; and what was understood of it. */
export function FieldError({ field }: { field: FieldName }) {
  const { option } = useOption();
  const error = fieldError(option, field);
  const wasTyped = useRef(false);
  if (field in option.typed) wasTyped.current = true;
  const hasAside = option.desk.rest !== undefined && (wasTyped.current || ASKED.test(field));
  return (
    <>
      {error && (
        <p id={`${fieldId(field)}-error`} className="mt-0.5 text-error text-sm leading-tight">
          {error}
        </p>
      )}
      {hasAside && (
        <Suspense fallback={null}>
          <FieldAside field={field} />
        </Suspense>
      )}
    </>
  );
}
