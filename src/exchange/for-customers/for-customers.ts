import type { DealDocument } from "../deal-document";
import { SEEN } from "./seen";

/** A value with what customers may see of it, and nothing else. */
type Seen<Value, Tree> = Tree extends true
  ? Value
  : Value extends readonly (infer Item)[]
    ? Seen<Item, Tree>[]
    : Value extends object
      ? Tree extends { "*": infer Each }
        ? { [Id in keyof Value]: Seen<Value[Id], Each> }
        : {
            [Name in keyof Value as Name extends keyof Tree ? Name : never]: Name extends keyof Tree
              ? Seen<Value[Name], Tree[Name]>
              : never;
          }
      : Value;

/** What customers may see of a deal: papers, screens and pages for them are made of this and of nothing else. */
export type DealForCustomers = Seen<DealDocument, typeof SEEN>;

/**
 * A deal as its customer may see it: what no schema says may be seen is left out.
 *
 * @example forCustomers({ …, notes: "Would go to 12,000", status: "agreed" }) // { …, status: "agreed" }
 */
export const forCustomers = (deal: DealDocument): DealForCustomers => seenOf(deal, SEEN) as DealForCustomers;

type Tree = true | { readonly [member: string]: Tree };

function seenOf(value: unknown, tree: Tree): unknown {
  if (Array.isArray(value)) return value.map(each => seenOf(each, tree));
  if (tree === true || typeof value !== "object" || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).flatMap(([name, member]) => {
      const seen = Object.hasOwn(tree, name) ? tree[name] : tree["*"];
      return seen === undefined ? [] : [[name, seenOf(member, seen)]];
    }),
  );
}
