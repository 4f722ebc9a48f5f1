import { nameOf } from "@/exchange/deal-document";
import { NEW_DEAL_NAMES, type NewDeal } from "@/exchange/settings";
import { SECTIONS } from "@/features/shell/settings-sections";
import type { Desk } from "../desk/desk-context";
import { deskDocument } from "../desk/desk-state";
import { saveCustomersFile, saveDealFile } from "../desk/save-deal-file";
import type { Command } from "./commands";

const PLACES = [
  ["Deals", "/"],
  ["Stock", "/stock"],
  ["Rates", "/rates"],
  ["Figures", "/figures"],
  ["Settings", "/settings"],
] as const;

/** Each section of the settings, found by what can be settled there. */
export const SETTINGS: Command[] = SECTIONS.map(({ id, name, says }) => ({
  id: `settings-${id}`,
  name: `Settings: ${name.toLowerCase()}`,
  says,
  also: says,
  run: () => location.assign(`/settings#${id}`),
}));

/** What a key of every page does, as if it were pressed. */
const press = (key: string) => () =>
  void window.dispatchEvent(new KeyboardEvent("keydown", { key, ctrlKey: true }));

export const elsewhere = ({ state }: Desk): Command[] => [
  {
    id: "dealer",
    name: "Dealer’s side",
    says: "Opens or closes what costs, lenders and officers make of the deal; nothing of it is on the page before.",
    also: "income earned gross reserve costs",
    run: press("."),
  },
  {
    id: "deal-file",
    name: "Export deal",
    says: "Saves the deal with all its options as a file of its own.",
    run: () => void saveDealFile(nameOf(state.heading.customer) || "New deal", deskDocument(state)),
  },
  {
    id: "customers-file",
    name: "Export deal for the customer",
    says: "Saves the deal as a file with what the customer may see: no notes, no budget, nothing of the dealer’s side.",
    run: () => void saveCustomersFile(nameOf(state.heading.customer) || "New deal", deskDocument(state)),
  },
  ...(Object.entries(NEW_DEAL_NAMES) as [NewDeal, string][]).map(([kind, name]) => ({
    id: `new-${kind}`,
    name: `New deal: ${name.toLowerCase()}`,
    says: `Leaves this deal, which is saved, for a new ${name.toLowerCase()}.`,
    run: () => void import("@/features/register/register-actions").then(({ newDeal }) => newDeal(kind)),
  })),
  { id: "keys", name: "Keys", says: "Shows every key that does something.", run: press("/") },
  ...PLACES.map(([name, href]) => ({
    id: `to-${name}`,
    name: `Go to ${name}`,
    says: `Leaves this deal, which is saved, for ${name.toLowerCase()}.`,
    run: () => location.assign(href),
  })),
];
