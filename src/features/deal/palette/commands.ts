import type { WantedFigure } from "@/core/moves";
import type { DeskFind } from "../fields";

/** Something that can be done, by its name. */
export type Command = {
  id: string;
  name: string;
  /** What it will do, before it is done. */
  says: string;
  run: () => void;
};

export type Group = { name: string; commands: Command[] };

/** What is found, by the word of its command, of a loan and of a lease. */
export const FIND_COMMANDS: Record<"loan" | "lease", readonly (readonly [DeskFind, string])[]> = {
  loan: [
    ["payment", "payment"],
    ["price", "price"],
    ["down", "cash down"],
    ["allowance", "trade-in allowance"],
    ["yearlyRate", "yearly rate"],
    ["payments", "number of payments"],
    ["balloon", "balloon"],
    ["extra", "extra with every payment"],
    ["lump", "extra on a date"],
  ],
  lease: [
    ["payment", "payment"],
    ["price", "agreed price"],
    ["down", "cash down"],
    ["allowance", "trade-in allowance"],
    ["residual", "residual"],
    ["moneyFactor", "money factor or rate"],
    ["payments", "term"],
  ],
};

/** What a wish can be made about, by the word of its command. */
export const WISH_COMMANDS: readonly (readonly [WantedFigure, string])[] = [
  ["payment", "payment"],
  ["totalCost", "total cost"],
  ["financeCharge", "finance charge"],
  ["dueAtSigning", "sum due at signing"],
  ["endDate", "end date"],
];

/** What a lease calls them. */
export const LEASE_WISHES: Partial<Record<WantedFigure, WantedFigure>> = {
  payment: "payment",
  totalCost: "totalIfReturned",
  dueAtSigning: "dueAtSigning",
  endDate: "endDate",
};

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
