/** Bytes as a person reads them. Example: `sizeText(1_048_576)` is "1.05 MB". */
export function sizeText(bytes: number): string {
  if (bytes < 1_000_000) return `${Math.ceil(bytes / 1000)} kB`;
  return bytes < 1_000_000_000
    ? `${(bytes / 1_000_000).toFixed(2)} MB`
    : `${(bytes / 1_000_000_000).toFixed(2)} GB`;
}
