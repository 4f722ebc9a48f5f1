import { inflateSync } from "node:zlib";

const WOFF_HEADER = 44;
const WOFF_ENTRY = 20;
const HEADER = 12;
const ENTRY = 16;

/**
 * A font out of its WOFF 1.0 wrapping (W3C recommendation, sections 3 to 5): the same tables, unpacked once instead of each
 * time that a paper reads one.
 *
 * @param woff the bytes of a .woff file
 * @returns the bytes of the font as it was before (OpenType, "sfnt")
 * @throws where the bytes are no WOFF
 */
export function unpackedFont(woff: Buffer): Buffer {
  if (woff.toString("latin1", 0, 4) !== "wOFF") throw new Error("This is no WOFF font.");
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, index) => {
    const entry = WOFF_HEADER + index * WOFF_ENTRY;
    const [offset, packed, length] = [4, 8, 12].map(at => woff.readUInt32BE(entry + at)) as [
      number,
      number,
      number,
    ];
    const bytes = woff.subarray(offset, offset + packed);
    // A table that would not get smaller is kept as it is.
    return { entry, length, bytes: packed < length ? inflateSync(bytes) : bytes };
  });
  const padded = (length: number) => Math.ceil(length / 4) * 4;
  const start = HEADER + count * ENTRY;
  const font = Buffer.alloc(tables.reduce((size, { length }) => size + padded(length), start));
  woff.copy(font, 0, 4, 8);
  const power = 2 ** Math.floor(Math.log2(count));
  font.writeUInt16BE(count, 4);
  font.writeUInt16BE(power * ENTRY, 6);
  font.writeUInt16BE(Math.log2(power), 8);
  font.writeUInt16BE((count - power) * ENTRY, 10);
  let offset = start;
  tables.forEach(({ entry, length, bytes }, index) => {
    const at = HEADER + index * ENTRY;
    woff.copy(font, at, entry, entry + 4);
    woff.copy(font, at + 4, entry + 16, entry + 20);
    font.writeUInt32BE(offset, at + 8);
    font.writeUInt32BE(length, at + 12);
    bytes.copy(font, offset);
    offset += padded(length);
  });
  return font;
}
