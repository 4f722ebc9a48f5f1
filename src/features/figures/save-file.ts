/** Hands a text to the browser as a downloaded file. */
export function saveFile(name: string, type: string, text: string): void {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(new Blob([text], { type }));
  link.download = safeName(name);
  link.click();
  // The download has its own hold on the data by the next turn.
  setTimeout(() => URL.revokeObjectURL(link.href), 0);
}

/** A name that every file system takes. */
function safeName(name: string): string {
  return name.replace(/[\\/:*?"<>|\p{Cc}]/gu, "-");
}
