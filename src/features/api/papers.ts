import type { PaperName } from "@/exchange/papers/paper-kinds";
import { saveBlob } from "@/features/figures/save-file";
import type { RefusalReply } from "@/server/contract";

/** Which paper of which options, of a deal's saved version, with which day on it. */
type PaperAsked = { name: PaperName; options: readonly string[]; version: number; day: string };

/** Fetches a paper and hands it to the browser as a file; why there is none, or nothing. */
export async function fetchPaper(
  dealId: string,
  { name, options, version, day }: PaperAsked,
): Promise<string> {
  const asked = new URLSearchParams({ options: options.join(","), version: String(version), day });
  try {
    const response = await fetch(`/api/deals/${dealId}/papers/${name}?${asked}`);
    if (!response.ok) return ((await response.json()) as RefusalReply).error;
    saveBlob(nameIn(response.headers.get("Content-Disposition") ?? ""), await response.blob());
    return "";
  } catch {
    return "The server cannot be reached; papers are made there.";
  }
}

/** What a file is called (RFC 6266). */
function nameIn(disposition: string): string {
  const [, encoded] = /filename\*=UTF-8''([^;]+)/.exec(disposition) ?? [];
  const [, plain = "Paper"] = /filename="([^"]+)"/.exec(disposition) ?? [];
  return encoded === undefined ? plain : decodeURIComponent(encoded);
}
