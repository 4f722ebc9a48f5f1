import { type RefObject, useEffect, useId, useRef, useState } from "react";
import { useKeys } from "@/features/focus/use-keys";

/** Something that can be picked for a name, and what tells it from others of the same name. */
export type Suggestion<Of> = { id: string; name: string; remark?: string | undefined; of: Of };

type Props<Of> = {
  input: RefObject<HTMLInputElement | null>;
  /** What is typed so far. */
  text: string;
  suggest: (text: string) => Promise<Suggestion<Of>[]>;
  onPicked: (picked: Of) => void;
  onClose: () => void;
};

const PAUSE_AFTER_TYPING = 120;

/** What can be picked for what is typed: by pointer, or by arrows and Enter; what is typed alone picks nothing. */
export function NameList<Of>({ input, text, suggest, onPicked, onClose }: Props<Of>) {
  const [found, setFound] = useState<Suggestion<Of>[]>([]);
  const [active, setActive] = useState(-1);
  const id = useId();
  const asked = useRef(suggest);
  useEffect(() => {
    asked.current = suggest;
  });
  useEffect(() => {
    let isNewest = true;
    const timer = setTimeout(async () => {
      const all = await asked.current(text);
      if (!isNewest) return;
      setFound(all);
      setActive(-1);
    }, PAUSE_AFTER_TYPING);
    return () => {
      isNewest = false;
      clearTimeout(timer);
    };
  }, [text]);
  const isOpen = found.length > 0;
  // One of them, or none.
  const places = found.length + 1;
  useEffect(() => {
    const field = input.current;
    if (!field) return;
    field.setAttribute("aria-expanded", String(isOpen));
    if (isOpen) field.setAttribute("aria-controls", id);
    if (active >= 0) field.setAttribute("aria-activedescendant", `${id}-${active}`);
    else field.removeAttribute("aria-activedescendant");
    return () => {
      field.setAttribute("aria-expanded", "false");
      field.removeAttribute("aria-controls");
      field.removeAttribute("aria-activedescendant");
    };
  }, [input, id, isOpen, active]);
  useKeys(event => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step && isOpen) setActive(now => ((now + 1 + step + places) % places) - 1);
    else if (event.key === "Enter" && found[active]) onPicked(found[active].of);
    else if (event.key === "Escape") onClose();
    else return;
    event.preventDefault();
    event.stopPropagation();
  }, input);
  if (!isOpen) return null;
  return (
    <div
      id={id}
      role="listbox"
      aria-label="What is known"
      className="absolute top-full left-0 z-30 mt-1 max-h-80 w-max min-w-full max-w-[90vw] overflow-auto rounded-box border border-base-300 bg-base-100 py-1 font-normal font-sans text-base shadow-lg print:hidden"
    >
      {found.map((each, index) => (
        // biome-ignore lint/a11y/useFocusableInteractive: the field keeps the focus and says which is meant
        // biome-ignore lint/a11y/useKeyWithClickEvents: the keys are those of the field
        <div
          key={each.id}
          id={`${id}-${index}`}
          role="option"
          aria-selected={index === active}
          className={`flex cursor-pointer items-baseline justify-between gap-6 px-3 py-1 hover:bg-base-200 ${index === active ? "bg-base-200" : ""}`}
          // The field would be left before the click.
          onPointerDown={event => event.preventDefault()}
          onClick={() => onPicked(each.of)}
        >
          <span>{each.name}</span>
          {each.remark && <span className="text-faint text-sm">{each.remark}</span>}
        </div>
      ))}
    </div>
  );
}
