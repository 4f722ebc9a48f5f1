import {
  type DealDocument,
  type DealOption,
  MOST_OPTIONS,
  membersOfFound,
  optionOf,
} from "@/exchange/deal-document";
import type { DealFile } from "@/exchange/deal-file";

/** Another state of the deal. */
type DealChanging = (document: DealDocument) => DealDocument;

/** How many options more a deal can have. */
export const roomFor = ({ options }: { options: readonly unknown[] }): number =>
  MOST_OPTIONS - options.length;

/** Options after another one, or at the end where it is gone; as many as there is room for. */
export const withOptionsAfter =
  (id: string, added: readonly DealOption[]): DealChanging =>
  document => {
    const { options } = document;
    const at = options.findIndex(option => option.id === id);
    const place = at < 0 ? options.length : at + 1;
    const fitting = added.slice(0, roomFor(document));
    return { ...document, options: [...options.slice(0, place), ...fitting, ...options.slice(place)] };
  };

/** An option more that is like another one. */
export const withCopyOf =
  (id: string, copyId: string): DealChanging =>
  document => {
    const option = optionOf(document, id);
    return option ? withOptionsAfter(id, [{ ...option, id: copyId, name: "" }])(document) : document;
  };

/** The deal without an option; of a chosen one the next is chosen, and the last one stays. */
export const withoutOption =
  (id: string): DealChanging =>
  document => {
    const at = document.options.findIndex(option => option.id === id);
    const options = document.options.filter(option => option.id !== id);
    const next = options[Math.min(at, options.length - 1)];
    if (!next || at < 0) return document;
    return { ...document, options, chosen: document.chosen === id ? next.id : document.chosen };
  };

/** An option at another place, from 0. */
export const withOptionAt =
  (id: string, place: number): DealChanging =>
  document => {
    const option = optionOf(document, id);
    if (!option) return document;
    const others = document.options.filter(other => other !== option);
    const to = Math.max(0, Math.min(place, others.length));
    return { ...document, options: [...others.slice(0, to), option, ...others.slice(to)] };
  };

/** An option so many places further to the right, or to the left. */
export const withOptionMoved =
  (id: string, by: number): DealChanging =>
  document =>
    withOptionAt(id, document.options.findIndex(option => option.id === id) + by)(document);

/** The deal with an option chosen. */
export const withChosen =
  (chosen: string): DealChanging =>
  document => ({ ...document, chosen });

/** An option with other inputs. */
export const withInputsOf =
  (id: string, inputs: DealFile): DealChanging =>
  document => ({
    ...document,
    options: document.options.map(option => (option.id === id ? { ...option, inputs } : option)),
  });

/** An option with a name of its own, or without one where it is empty. */
export const withName =
  (id: string, name: string): DealChanging =>
  document => ({
    ...document,
    options: document.options.map(option => (option.id === id ? { ...option, name } : option)),
  });

/**
 * Another option with what was changed in one: each line or list of the structure and each figure of the plan that is
 * another one now. A figure that the other option looks for stays open, and what its kind does not have is left out.
 */
export function alsoChanged(before: DealFile, after: DealFile, other: DealFile): DealFile {
  const structure = membersChanged(before.structure, after.structure, other.structure, other.find);
  const isOfOneKind = before.plan.kind === after.plan.kind && after.plan.kind === other.plan.kind;
  const plan = isOfOneKind ? membersChanged(before.plan, after.plan, other.plan, other.find) : other.plan;
  if (structure === other.structure && plan === other.plan) return other;
  return { ...other, structure, plan } as DealFile;
}

function membersChanged<Part extends object>(before: Part, after: Part, other: Part, find: string): Part {
  const [former, present] = [before, after] as Record<string, unknown>[];
  const open = new Set(membersOfFound(find));
  const names = Object.keys({ ...former, ...present }).filter(
    name => former?.[name] !== present?.[name] && !open.has(name),
  );
  if (names.length === 0) return other;
  const changed = { ...other } as Record<string, unknown>;
  for (const name of names) {
    if (present?.[name] === undefined) delete changed[name];
    else changed[name] = present[name];
  }
  return changed as Part;
}
