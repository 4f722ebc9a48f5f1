import type { Deal, Result } from "@/core";
import { type DealFile, fileKindOf } from "../kinds";

/** Turns what was typed, once it passed its schema, into the deal that the core computes with. */
export const readDeal = (inputs: DealFile): Result<Deal> => fileKindOf(inputs).read(inputs);
