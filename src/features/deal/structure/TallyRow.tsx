import type { ReactNode } from "react";
import type { FieldName } from "../fields";
import { FieldError, FigureField } from "../parts/FigureField";

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
  return (
    <>
      <div className={`min-w-0 leading-tight ${isInGroup ? "pl-3" : ""}`}>
        {label}
        {remark && <span className="block text-faint text-sm leading-tight empty:hidden">{remark}</span>}
      </div>
      <span className="text-center text-faint">{sign}</span>
      {field ? (
        <FigureField field={field} called={called} hideLabel errorElsewhere />
      ) : (
        <span className={`px-2 text-right ${faded}`}>{value}</span>
      )}
      <span className={`text-right text-faint ${faded}`}>{running}</span>
      {field && (
        <div className="col-span-4 empty:hidden">
          <FieldError field={field} />
        </div>
      )}
      {children && <div className="col-span-4">{children}</div>}
    </>
  );
}
