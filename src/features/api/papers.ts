import type { PaperName } from "@/exchange/papers/paper-kinds";
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
    const link = document.createElement("a");
    link.href = URL.createObjectURL(await response.blob());
    link.download = nameIn(response.headers.get("Content-Disposition") ?? "");
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 0);
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
