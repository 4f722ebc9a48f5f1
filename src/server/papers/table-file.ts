import { Readable } from "node:stream";
import { PAPER_KINDS } from "@/exchange/papers/paper-kinds";
import type { TableFile } from "@/exchange/workbook/table.schema";
import { Refusal } from "../refusal";
import { inThread } from "./in-thread";

/** A plain table as a workbook of its own. */
export async function tableFile(
  table: TableFile,
): Promise<{ fileName: string; type: string; bytes: Readable }> {
  const made = await inThread({ kind: "table", table });
  if (!made || !("table" in made)) throw new Refusal(422, "The table took too much work to be written.");
  return {
    fileName: `${table.name}.xlsx`,
    type: PAPER_KINDS.workbook.type,
    bytes: Readable.from([made.table]),
  };
}
