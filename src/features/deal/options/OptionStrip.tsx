import { useCallback, useRef, useState } from "react";
import { OptionCard } from "./OptionCard";
import { useDraggedOptions } from "./use-dragged-options";
import { useOptionActions, useOptions } from "./use-options";

/** The options of the deal side by side, each with its payment and what sets it apart. */
export function OptionStrip() {
  const options = useOptions();
  const actions = useOptionActions();
  const [said, setSaid] = useState("");
  const latest = useRef(options);
  latest.current = options;
  /** For those who do not see it. */
  const tell = useCallback((id: string, place: number) => {
    const { length } = latest.current;
    const called = latest.current.find(option => option.id === id)?.called;
    setSaid(`${called} is now option ${Math.max(1, Math.min(place + 1, length))} of ${length}.`);
  }, []);
  const moved = useCallback(
    (id: string, by: number) => tell(id, latest.current.findIndex(option => option.id === id) + by),
    [tell],
  );
  const { list, target, wake } = useDraggedOptions(options.map(({ id }) => id).join(), (id, place) => {
    actions.moveTo(id, place);
    tell(id, place);
  });
  return (
    <section aria-label="Options">
      <ol ref={list} onPointerEnter={wake} className="flex gap-2 overflow-x-auto p-0.5">
        {options.map((option, index) => (
          <OptionCard
            key={option.id}
            {...option}
            number={index + 1}
            isTarget={target === index}
            actions={actions}
            onMoved={moved}
          />
        ))}
      </ol>
      <p aria-live="polite" className="sr-only">
        {said}
      </p>
    </section>
  );
}
