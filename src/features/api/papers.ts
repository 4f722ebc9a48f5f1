import type { PaperName } from "@/exchange/papers/paper-kinds";
import { saveBlob } from "@/features/figures/save-file";
import type { PapersReply, RefusalReply } from "@/server/contract";
import { type Answer, ask } from "./client";

/** What papers are made of: options of a deal's saved version, with which day on it, and what else some ask. */
export type OptionsAsked = {
  options: readonly string[];
  version: number;
  day: string;
  /** Such as the day of a payoff, by the names of the address. */
  details?: Readonly<Record<string, string>>;
};

const AWAY = "The server cannot be reached; papers are made there.";

const addressOf = (dealId: string, path: string, { options, version, day, details }: OptionsAsked) =>
  `/api/deals/${dealId}/papers${path}?${new URLSearchParams({
    options: options.join(","),
    version: String(version),
    day,
    ...details,
  })}`;

/** Which papers there are not, and why. */
export const lookAtPapers = (dealId: string, asked: OptionsAsked): Promise<Answer<PapersReply>> =>
  ask("GET", addressOf(dealId, "", asked));

/** Fetches a paper, which is then given, and hands it to the browser as a file; why there is none, or nothing. */
export async function fetchPaper(dealId: string, name: PaperName, asked: OptionsAsked): Promise<string> {
  const fetched = await bytesOf(addressOf(dealId, `/${name}`, asked), "POST");
  if ("sentence" in fetched) return fetched.sentence;
  saveBlob(fetched.name, fetched.blob);
  return "";
}

/** Fetches a paper to be looked at, which is marked so and not kept. */
export async function fetchPreview(
  dealId: string,
  name: PaperName,
  asked: OptionsAsked,
): Promise<{ bytes: ArrayBuffer } | { sentence: string }> {
  const fetched = await bytesOf(addressOf(dealId, `/${name}`, asked), "GET");
  return "sentence" in fetched ? fetched : { bytes: await fetched.blob.arrayBuffer() };
}

/** Fetches both sides of a deal on one paper, for the house; why there is none, or nothing. */
export async function fetchRecap(dealId: string, option: string, day: string): Promise<string> {
  const fetched = await bytesOf(
    `/api/deals/${dealId}/dealer/recap?${new URLSearchParams({ option, day })}`,
    "GET",
  );
  if ("sentence" in fetched) return fetched.sentence;
  saveBlob(fetched.name, fetched.blob);
  return "";
}

/** Fetches a paper that was given before. */
export async function fetchGiven(dealId: string, id: string): Promise<string> {
  const fetched = await bytesOf(`/api/deals/${dealId}/given/${id}`, "GET");
  if ("sentence" in fetched) return fetched.sentence;
  saveBlob(fetched.name, fetched.blob);
  return "";
}

async function bytesOf(
  address: string,
  method: "GET" | "POST",
): Promise<{ name: string; blob: Blob } | { sentence: string }> {
  try {
    const response = await fetch(address, { method });
    if (!response.ok) return { sentence: ((await response.json()) as RefusalReply).error };
    return { name: nameIn(response.headers.get("Content-Disposition") ?? ""), blob: await response.blob() };
  } catch {
    return { sentence: AWAY };
  }
}

/** What a file is called (RFC 6266). */
function nameIn(disposition: string): string {
  const [, encoded] = /filename\*=UTF-8''([^;]+)/.exec(disposition) ?? [];
  const [, plain = "Paper"] = /filename="([^"]+)"/.exec(disposition) ?? [];
  return encoded === undefined ? plain : decodeURIComponent(encoded);
}
