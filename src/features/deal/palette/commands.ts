/** Something that can be done, by its name. */
export type Command = {
  id: string;
  name: string;
  /** What it will do, before it is done. */
  says: string;
  /** Other words that it is found by. */
  also?: string;
  run: () => void;
};

export type Group = { name: string; commands: Command[] };

const clean = (text: string | null | undefined) =>
  (text ?? "").replace(/\s+/g, " ").replace(" (being found)", "").trim();

const isShown = (element: HTMLElement) => element.offsetParent !== null && !element.closest("[data-palette]");

function nameOf(element: HTMLElement): string {
  const label = (element as HTMLInputElement).labels?.[0];
  return clean(element.getAttribute("aria-label") ?? label?.textContent ?? element.textContent);
}

/** Every field and choice that is on the screen. */
export function fieldCommands(desk: HTMLElement): Command[] {
  const fields = [
    ...desk.querySelectorAll<HTMLInputElement | HTMLSelectElement>(
      "input:not([type=file]):not(:disabled), select:not(:disabled)",
    ),
  ];
  return fields.filter(isShown).flatMap((field, index) => {
    const name = nameOf(field);
    if (name === "") return [];
    const value =
      field instanceof HTMLSelectElement ? clean(field.selectedOptions[0]?.textContent) : field.value;
    return {
      id: `field-${index}`,
      name,
      says:
        value === "" || field.type === "checkbox"
          ? `Goes to ${name}.`
          : `Goes to ${name}, which is ${value}.`,
      run: () => {
        field.scrollIntoView({ block: "nearest" });
        field.focus();
      },
    };
  });
}

/** Every button that is on the screen. */
export function buttonCommands(desk: HTMLElement): Command[] {
  const known = new Set<string>();
  const buttons = [
    ...desk.querySelectorAll<HTMLElement>("button:not(:disabled):not(.find-this), a[href], summary"),
  ];
  return buttons.filter(isShown).flatMap((button, index) => {
    const name = nameOf(button);
    if (name === "" || known.has(name)) return [];
    known.add(name);
    return { id: `button-${index}`, name, says: `Presses “${name}”.`, run: () => button.click() };
  });
}
