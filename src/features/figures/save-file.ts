/** Hands a text to the browser as a downloaded file. */
export const saveFile = (name: string, type: string, text: string): void =>
  saveBlob(name, new Blob([text], { type }));

/** The same of what came as a file. */
export function saveBlob(name: string, file: Blob): void {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(file);
  link.download = safeName(name);
  link.click();
  // The download has its own hold on the data by the next turn.
  setTimeout(() => URL.revokeObjectURL(link.href), 0);
}

/** A name that every file system takes. */
function safeName(name: string): string {
  return name.replace(/[\\/:*?"<>|\p{Cc}]/gu, "-");
}
