import { memo } from "react";
import { useDesk, useFrame } from "../desk/desk-context";

/** On a narrow screen: which option is open. */
export function OptionChoice() {
  const { state } = useDesk();
  const titles = state.options.map(({ name }, index) => `Option ${index + 1}${name && `: ${name}`}`);
  const open = state.options.findIndex(({ id }) => id === state.open);
  return <OptionSelect titles={titles.join("\n")} open={open} />;
}

/** Drawn again where an option has another name, or another one is open: a key changes neither. */
const OptionSelect = memo(function OptionSelect({
  titles,
  open,
}: {
  /** What the options are called, a line each. */ titles: string;
  open: number;
}) {
  const { dispatch, now } = useFrame();
  return (
    <select
      aria-label="Open option"
      className="choice-in-words shrink-0 bg-transparent! font-semibold md:hidden"
      value={open}
      onChange={event => {
        const option = now().options[Number(event.target.value)];
        if (option) dispatch({ type: "select", id: option.id });
      }}
    >
      {titles.split("\n").map((title, index) => (
        <option key={title} value={index}>
          {title}
        </option>
      ))}
    </select>
  );
});
