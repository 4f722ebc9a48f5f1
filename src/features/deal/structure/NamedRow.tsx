import { type ComponentProps, lazy, Suspense, useState } from "react";
import type { LineNames } from "@/core";
import { useOption } from "../option/option-context";
import { whenWhole } from "../option/use-kinds";
import { TallyRow } from "./TallyRow";
import { useStructure } from "./use-structure";

// Most lines keep their names: the screen starts without the code for it.
const LineNameEditor = lazy(() =>
  import("./LineNameEditor").then(({ LineNameEditor: editor }) => ({ default: editor })),
);

type Props = Omit<ComponentProps<typeof TallyRow>, "label" | "called" | "children"> & {
  line: keyof LineNames;
  /** What it is called unless it is renamed. */
  usual: string;
};

/** A line that every structure has; it is pressed to be renamed. */
export function NamedRow({ line, usual, ...row }: Props) {
  const { structure } = useStructure();
  const { kind } = useOption().option;
  const [isOpen, setOpen] = useState(false);
  const name = structure.names?.[line] ?? usual;
  const open = () => setOpen(true);
  return (
    <TallyRow
      {...row}
      called={name}
      label={
        <button
          type="button"
          // Its figure is where Tab goes.
          tabIndex={-1}
          aria-expanded={isOpen}
          aria-label={`Rename ${name}`}
          title="Rename this line"
          className="mb-1 block min-h-6 cursor-pointer text-left last:mb-0"
          onClick={() => {
            if (isOpen) setOpen(false);
            else whenWhole([kind], open);
          }}
        >
          {name}
        </button>
      }
    >
      {isOpen && (
        <Suspense fallback={null}>
          <LineNameEditor line={line} usual={usual} onDone={() => setOpen(false)} />
        </Suspense>
      )}
    </TallyRow>
  );
}
