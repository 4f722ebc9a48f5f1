import type { DealFile } from "@/exchange/deal-file";
import { useDesk } from "./desk-context";
import { type DeskState, fieldText, isStale, shownQuote } from "./desk-state";
import { type DeskFind, isFoundIn } from "./figure-names";
import type { FieldName } from "./read-field";

/** The element id of a field, for labels and for going there from the sentence. */
export const fieldId = (field: FieldName) => `field-${field}`;

type Props = {
  field: FieldName;
  label: string;
  /** Set where the figure can also be found instead of given. */
  findable?: DeskFind;
  /** Shown after the figure, as the percent sign is. */
  unit?: string;
  /** Where the visible label stands elsewhere, this names the field for those who do not see it. */
  hideLabel?: boolean;
  align?: "left" | "right";
  type?: "text" | "date";
  /** Where a FieldError stands at another place of the form. */
  errorElsewhere?: boolean;
};

const ALIGN = { left: "", right: "text-right" };

/** One figure to type. Answers move with every key; a figure that cannot be read says why right here. */
export function FigureField(props: Props) {
  const { field, label, findable, unit, hideLabel, align = "right", type = "text", errorElsewhere } = props;
  const { state, dispatch } = useDesk();
  const error = fieldError(state, field);
  const found = isFoundIn(field, state.document.inputs.find);
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
          className={`field ${found ? "found" : ""} ${found && shownQuote(state) && isStale(state) ? "stale" : ""} ${ALIGN[align]} ${unit ? "pr-7" : ""}`}
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
      {!errorElsewhere && <FieldError field={field} />}
    </div>
  );
}

/** Why a field's figure cannot be read, or gives no answer. */
export function FieldError({ field }: { field: FieldName }) {
  const { state } = useDesk();
  const error = fieldError(state, field);
  return error ? (
    <p id={`${fieldId(field)}-error`} className="mt-0.5 text-error text-sm leading-tight">
      {error}
    </p>
  ) : null;
}

function fieldError({ errors, answer, document }: DeskState, field: FieldName): string | undefined {
  if (errors[field]) return errors[field];
  if (answer.ok || answer.failure.figure !== field || isMissing(document.inputs, field)) return undefined;
  return answer.failure.sentence;
}

/** A figure that was not typed yet is no mistake; the place of the answer asks for it. */
function isMissing({ structure, plan }: DealFile, field: FieldName): boolean {
  const given: Partial<Record<FieldName, unknown>> = {
    price: structure.price,
    down: structure.down,
    ...plan,
  };
  return given[field] === undefined;
}
