import type { TableFile } from "@/exchange/workbook/table.schema";
import { saveBlob } from "@/features/figures/save-file";
import type { RefusalReply } from "@/server/contract";
import { jsonBody } from "./client";

/** Has a table written as a workbook, and hands it to the browser; why there is none, or nothing. */
export async function saveTable(table: TableFile): Promise<string> {
  try {
    const response = await fetch("/api/tables", { method: "POST", body: jsonBody(table) });
    if (!response.ok) return ((await response.json()) as RefusalReply).error;
    saveBlob(`${table.name}.xlsx`, await response.blob());
    return "";
  } catch {
    return "The server cannot be reached; workbooks are made there.";
  }
}
