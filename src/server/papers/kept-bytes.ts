import { createHash } from "node:crypto";
import { promisify } from "node:util";
import { deflateRaw, inflateRaw } from "node:zlib";

/** Bytes as they are kept: packed, and known by the digest of what is kept. */
export async function packed(bytes: Uint8Array): Promise<{ sha256: string; bytes: Uint8Array }> {
  const kept = await promisify(deflateRaw)(bytes);
  return { sha256: createHash("sha256").update(kept).digest("hex"), bytes: kept };
}

/** The bytes that were packed. */
export const unpacked = async (kept: Uint8Array): Promise<Buffer> => promisify(inflateRaw)(kept);
