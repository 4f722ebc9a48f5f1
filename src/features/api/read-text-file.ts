import type { Checked } from "@/exchange/checks";

/** The text of a file, which must be UTF-8: anything else would come in with letters that nobody typed. */
export async function readTextFile(file: File): Promise<Checked<string>> {
  try {
    return { ok: true, value: new TextDecoder("utf-8", { fatal: true }).decode(await file.arrayBuffer()) };
  } catch {
    return { ok: false, sentence: `${file.name} is not text in UTF-8; save it in that encoding.` };
  }
}
