import { type ReactNode, useEffect, useRef } from "react";

type Props = {
  label: string;
  children: ReactNode;
  takeOutWords?: string;
  onDone: () => void;
  onTakeOut: () => void;
};

/** What stands around a line that is open to be changed. */
export function EditorFrame({ label, children, takeOutWords = "Remove", onDone, onTakeOut }: Props) {
  const opener = useRef<HTMLElement | null>(null);
  // Before the editor takes the focus.
  useEffect(() => {
    opener.current = document.activeElement as HTMLElement | null;
  }, []);
  const done = () => {
    onDone();
    opener.current?.focus();
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset would stand apart from the tally's grid.
    <div
      role="group"
      aria-label={label}
      className="my-1 rounded-field bg-base-200 p-2.5"
      onKeyDown={event => {
        if (event.key === "Escape") done();
      }}
    >
      {children}
      <div className="mt-2 flex justify-between">
        <button
          type="button"
          className="btn btn-sm bg-base-100"
          onClick={() => {
            done();
            onTakeOut();
          }}
        >
          {takeOutWords}
        </button>
        <button type="button" className="btn btn-sm bg-base-100" onClick={done}>
          Done
        </button>
      </div>
    </div>
  );
}
