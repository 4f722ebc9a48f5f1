import { type ReactNode, useId } from "react";
import type { FieldName } from "../fields";
import { FieldError, FigureField } from "../parts/FigureField";
import { fieldId } from "../parts/field-id";
import { BesideFigure, goAmongLinks, goToLinks } from "../parts/line-links";

type Props = {
  label: ReactNode;
  remark?: ReactNode;
  sign?: "+" | "−" | "";
  /** Where the line's figure is typed, and what it is called where the line has another word for it. */
  field?: FieldName;
  called?: string | undefined;
  /** The figure of a line that is not typed. */
  value?: string;
  /** The subtotal after the line. */
  running?: string;
  stale: boolean;
  /** Whether it stands below the head of its group. */
  isInGroup?: boolean;
  /** What is open below the line. */
  children?: ReactNode;
};

/** One line of the tally: its name, its sign, its figure and the subtotal so far. */
export function TallyRow(props: Props) {
  const { label, remark, sign = "", field, called, value, running = "", stale, isInGroup, children } = props;
  const faded = stale ? "stale" : "";
  const linksId = useId();
  return (
    <>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: keys that its links and choices leave to it */}
      <div
        id={linksId}
        className={`min-w-0 leading-tight ${isInGroup ? "pl-3" : ""}`}
        onKeyDown={field && (event => goAmongLinks(event, linksId, fieldId(field)))}
      >
        <BesideFigure value={field !== undefined}>
          {label}
          {remark && <span className="block text-faint text-sm leading-tight empty:hidden">{remark}</span>}
        </BesideFigure>
      </div>
      <span className="text-center text-faint">{sign}</span>
      {field ? (
        // biome-ignore lint/a11y/noStaticElementInteractions: a key that the figure leaves to its line
        <div className="min-w-0" onKeyDown={event => goToLinks(event, linksId)}>
          <FigureField field={field} called={called} hideLabel errorElsewhere />
        </div>
      ) : (
        <span className={`px-2 text-right ${faded}`}>{value}</span>
      )}
      <span className={`h-6 text-right text-faint [contain:size_layout] ${faded}`}>{running}</span>
      {field && (
        <div className="col-span-4 empty:hidden">
          <FieldError field={field} />
        </div>
      )}
      {children && <div className="col-span-4">{children}</div>}
    </>
  );
}
