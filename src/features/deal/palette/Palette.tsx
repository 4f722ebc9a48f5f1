import { Command as Cmdk } from "cmdk";
import { useEffect, useState } from "react";
import { Panel } from "../../shell/Panel";
import { useNotation } from "../option/option-context";
import type { Command } from "./commands";
import { useCommands } from "./use-commands";

type Props = { onClose: (isBack: boolean) => void };

/** Everything that can be done, by its name or in a plain phrase; what it will do is said before Enter does it. */
export function Palette({ onClose }: Props) {
  const [text, setText] = useState("");
  const [active, setActive] = useState("");
  const { say } = useNotation();
  const groups = useCommands(text);
  const isPhrase = groups[0]?.commands[0]?.id === "phrase";
  const all = groups.flatMap(({ commands }) => commands);
  const chosen = all.find(({ id }) => id === active);
  // What came to the list after the last key was not there to be chosen.
  useEffect(() => {
    if (chosen) return;
    const frame = requestAnimationFrame(() => {
      const first = document.querySelector("[data-palette] [cmdk-item]")?.getAttribute("data-value");
      if (first) setActive(first);
    });
    return () => cancelAnimationFrame(frame);
  });
  const run = (command: Command) => {
    if (command.id !== "keys") onClose(!/^(field|wish|button|more-options)/.test(command.id));
    command.run();
  };
  return (
    <Panel label="Do anything" onClose={onClose}>
      <Cmdk
        label="Do anything"
        loop
        value={active}
        onValueChange={setActive}
        data-palette
        className="flex min-h-0 flex-col"
        filter={(id, search, keywords = []) => {
          if (id === "phrase" || id === "wish-said") return 1;
          const name = keywords.join(" ").toLowerCase();
          const words = search.toLowerCase().split(/\s+/).filter(Boolean);
          if (!words.every(word => name.includes(word))) return 0;
          return (isPhrase ? 0.4 : 0.5) + (name.startsWith(words[0] ?? "") ? 0.3 : 0);
        }}
      >
        <Cmdk.Input
          autoFocus
          value={text}
          onValueChange={setText}
          placeholder="A command, a field, or: 72 payments at 5.9 · down 15 % · find price for payment 550"
          className="field m-3 w-auto"
        />
        <Cmdk.List className="min-h-0 overflow-auto px-2 pb-2">
          <Cmdk.Empty className="p-3 text-faint">
            Nothing is called so. Say a figure and what it should be, such as “rate 5.9”.
          </Cmdk.Empty>
          {groups.map(({ name, commands }) => (
            <Cmdk.Group
              key={name}
              heading={name}
              className="[&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-faint [&_[cmdk-group-heading]]:text-sm"
            >
              {commands.map(command => (
                <Cmdk.Item
                  key={command.id}
                  value={command.id}
                  keywords={[command.name, command.also ?? ""]}
                  onSelect={() => run(command)}
                  className="cursor-pointer rounded-field px-2 py-1 data-[selected=true]:bg-primary/10 data-[selected=true]:font-semibold data-[selected=true]:text-primary"
                >
                  {command.name}
                </Cmdk.Item>
              ))}
            </Cmdk.Group>
          ))}
        </Cmdk.List>
        <p
          role="status"
          className="min-h-10 border-base-300 border-t px-4 py-2 text-sm"
          data-testid="will-do"
        >
          {chosen ? (
            <>
              {say(chosen.says)} <span className="text-faint">Enter does it.</span>
            </>
          ) : (
            ""
          )}
        </p>
      </Cmdk>
    </Panel>
  );
}
