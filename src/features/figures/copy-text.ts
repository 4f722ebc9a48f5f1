import { notify } from "@/features/notices/notify";

/** Copies cells with tabs between them, for a spreadsheet. */
export async function copyText(text: string): Promise<void> {
  try {
    await navigator.clipboard.writeText(text);
    notify.success("Copied; paste it into a spreadsheet.");
  } catch {
    notify.error("The browser does not let this page copy.");
  }
}
