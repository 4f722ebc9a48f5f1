import { parseIsoDate } from "@/core";
import { type Checked, checked } from "@/exchange/checks";
import type { TableFile } from "@/exchange/workbook/table.schema";
import { table } from "./compiled";

/** The form of a table that is to be a workbook. */
export function checkTable(value: unknown): Checked<TableFile> {
  const request = checked<TableFile>(table, value);
  if (request.ok && parseIsoDate(request.value.day) === undefined)
    return { ok: false, sentence: `day is ${request.value.day}; there is no such day.` };
  return request;
}
