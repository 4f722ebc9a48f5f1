import { notify } from "@/features/notices/notify";

/** Copies text: cells with tabs between them for a spreadsheet, unless it is said to be something else. */
export async function copyText(text: string, said = "Copied; paste it into a spreadsheet."): Promise<void> {
  if (await isCopied(text)) notify.success(said);
  else notify.error("The browser does not let this page copy.");
}

async function isCopied(text: string): Promise<boolean> {
  try {
    if (navigator.clipboard === undefined) return copiedByCommand(text);
    await navigator.clipboard.writeText(text);
    return true;
  } catch {
    return false;
  }
}

/** A page that came over a network without encryption has no clipboard, but for what is selected in it. */
function copiedByCommand(text: string): boolean {
  const field = document.createElement("textarea");
  field.value = text;
  document.body.append(field);
  field.select();
  const isDone = document.execCommand("copy");
  field.remove();
  return isDone;
}
