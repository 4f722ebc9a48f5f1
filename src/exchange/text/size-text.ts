/** Bytes as a person reads them. Example: `sizeText(1_048_576)` is "1.05 MB". */
export function sizeText(bytes: number): string {
  return bytes < 1_000_000 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1_000_000).toFixed(2)} MB`;
}
