import type { Structure } from "../../structure";

/** A structure with a figure open that is to be found; as it is where the figure is none of it. */
export function opened(structure: Structure, figure: string): Structure {
  switch (figure) {
    case "price":
    case "down":
      return { ...structure, [figure]: null };
    case "allowance": {
      const [first, ...others] = structure.tradeIns;
      return first ? { ...structure, tradeIns: [{ ...first, allowance: null }, ...others] } : structure;
    }
    default:
      return structure;
  }
}
