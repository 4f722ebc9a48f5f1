import { useEffect } from "react";
import type { LineNames } from "@/core";
import { FigureField } from "../parts/FigureField";
import { fieldId } from "../parts/field-id";
import { EditorFrame } from "./EditorFrame";
import { useStructure } from "./use-structure";

type Props = { line: keyof LineNames; usual: string; onDone: () => void };

/** The name of a line that every structure has, below it. */
export function LineNameEditor({ line, usual, onDone }: Props) {
  const { change } = useStructure();
  const field = `names/${line}` as const;
  useEffect(() => {
    document.getElementById(fieldId(field))?.focus();
  }, [field]);
  return (
    <EditorFrame
      label={`Name of the line ${usual}`}
      takeOutWords={`Call it ${usual}`}
      onDone={onDone}
      onTakeOut={() =>
        change(({ names, ...rest }) => {
          const { [line]: _, ...others } = names ?? {};
          return Object.keys(others).length > 0 ? { ...rest, names: others } : rest;
        })
      }
    >
      <FigureField field={field} shortLabel="Name, as it goes onto papers" />
    </EditorFrame>
  );
}
