import type { FoundFigure } from "@/core";
import { useDesk } from "./desk-context";
import { fieldText } from "./desk-state";
import type { FieldName } from "./read-field";

/** The element id of a field, for labels and for going there from the sentence. */
export const fieldId = (field: FieldName) => `field-${field}`;

type Props = {
  field: FieldName;
  label: string;
  /** Set where the figure can also be found instead of given. */
  findable?: FoundFigure;
  /** Shown after the figure, as the percent sign is. */
  unit?: string;
  /** Where the visible label stands elsewhere, this names the field for those who do not see it. */
  hideLabel?: boolean;
  align?: "left" | "right";
  type?: "text" | "date";
};

const ALIGN = { left: "", right: "text-right" };

/** One figure to type. Answers move with every key; a figure that cannot be read says why right here. */
export function FigureField({
  field,
  label,
  findable,
  unit,
  hideLabel,
  align = "right",
  type = "text",
}: Props) {
  const { state, dispatch } = useDesk();
  const error = state.errors[field] ?? planProblem(state, field);
  const found = findable !== undefined && state.document.inputs.find === findable;
  const id = fieldId(field);
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={hideLabel ? "sr-only" : "mb-0.5 block text-faint text-sm"}>
        {label}
        {found && <span className="sr-only"> (being found)</span>}
      </label>
      <div className="relative">
        <input
          id={id}
          type={type}
          inputMode={type === "text" ? "decimal" : undefined}
          autoComplete="off"
          className={`field ${found ? "found" : ""} ${ALIGN[align]} ${unit ? "pr-7" : ""}`}
          value={fieldText(state, field)}
          readOnly={found}
          aria-invalid={error !== undefined}
          aria-describedby={error ? `${id}-error` : undefined}
          aria-keyshortcuts={findable ? "?" : undefined}
          title={findable && !found ? "Type ? to find this figure" : undefined}
          onChange={event => dispatch({ type: "typed", field, text: event.target.value })}
          onFocus={event => event.target.select()}
          onBlur={() => dispatch({ type: "left", field })}
          onKeyDown={event => {
            if (event.key !== "?" || !findable) return;
            event.preventDefault();
            dispatch({ type: "find", figure: findable });
          }}
        />
        {unit && (
          <span
            aria-hidden="true"
            className="pointer-events-none absolute inset-y-0 right-2.5 grid place-items-center"
          >
            {unit}
          </span>
        )}
      </div>
      {error && (
        <p id={`${id}-error`} className="mt-0.5 text-error text-sm">
          {error}
        </p>
      )}
    </div>
  );
}

/** Where the deal has no answer because of a figure that reads well, its own field says so too. */
function planProblem(
  { answer, document }: ReturnType<typeof useDesk>["state"],
  field: FieldName,
): string | undefined {
  if (answer.ok || answer.failure.figure !== field) return undefined;
  // A figure that was not typed yet is no mistake; the sentence asks for it.
  const { price, ...structure } = { price: undefined, ...document.inputs.structure };
  const given = { price, down: structure.down, ...document.inputs.plan } as Partial<
    Record<FieldName, unknown>
  >;
  return given[field] === undefined ? undefined : answer.failure.sentence;
}
