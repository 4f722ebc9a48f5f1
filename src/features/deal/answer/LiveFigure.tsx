import type { DeskFind, FieldName } from "../fields";
import { isFoundIn } from "../option";
import { useOption } from "../option/option-context";
import { fieldId } from "../parts/field-id";

type Props = {
  text: string;
  /** What stands right after it, on the same line. */
  after?: string;
  /** What is found where it is picked; without it, picking goes to the figure's field. */
  find?: DeskFind;
  /** The figure's field. */
  field?: FieldName;
  /** What it is called, for its hint. */
  name?: string;
};

/** A figure of the sentence: pick it to find it, or to go where it is typed. */
export function LiveFigure({ after, ...figure }: Props) {
  if (after === undefined) return <FigureButton {...figure} />;
  return (
    <span className="whitespace-nowrap">
      <FigureButton {...figure} />
      {after}
    </span>
  );
}

function FigureButton({ text, find, field, name = "figure" }: Omit<Props, "after">) {
  const { option, act, isFrozen } = useOption();
  const { inputs } = option;
  if (isFrozen) return <strong className="font-semibold">{text}</strong>;
  const found = field === undefined ? inputs.find === find : isFoundIn(option, field);
  if (find === undefined) {
    return (
      <button
        type="button"
        className={liveClass(found)}
        title="Change this figure"
        onClick={() => field && document.getElementById(fieldId(field))?.focus()}
      >
        {text}
      </button>
    );
  }
  return (
    <button
      type="button"
      aria-pressed={found}
      title={found ? `${name}: being found` : `Find this ${name.toLowerCase()}`}
      className={liveClass(found)}
      onClick={() => act({ type: "find", figure: find })}
    >
      {text}
    </button>
  );
}

function liveClass(found: boolean): string {
  const style = found
    ? "found px-1.5"
    : "rounded-sm underline decoration-1 decoration-dotted underline-offset-4";
  return `cursor-pointer font-semibold ${style}`;
}
