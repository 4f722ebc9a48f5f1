import type { CashDown, FoundFigure, Structure } from "@/core";
import type { Reader } from "../reading";
import type { StructureFile } from "./structure.schema";

/** Turns a structure that passed its schema into the one that the core computes with. */
export function readStructure(file: StructureFile, find: FoundFigure, read: Reader): Structure {
  const { tradeIn, down, price } = file;
  return {
    price: read.amount("price", "price", price),
    tradeIn: {
      allowance: read.amount("allowance", "trade-in allowance", tradeIn?.allowance) ?? 0,
      owed: read.amount("owed", "amount owed on the trade-in", tradeIn?.owed) ?? 0,
    },
    down: find === "down" || find === "downPercent" ? null : readDown(down, read),
  };
}

function readDown(down: StructureFile["down"], read: Reader): CashDown {
  return down && "percent" in down
    ? { percent: String(down.percent) }
    : { amount: read.amount("down", "cash down", down?.amount) ?? 0 };
}
