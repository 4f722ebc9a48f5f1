/** Enough for the lines of a deal. */
const LINE_ID_LENGTH = 8;

/** A new id for a line of a structure. */
export const newLineId = (): string => newId().slice(0, LINE_ID_LENGTH);

/** Which bits of a random UUID say that it is one: its version, 4, and its variant (RFC 9562). */
const [VERSION, VARIANT] = [6, 8];

/**
 * A new id for an option. A browser makes one itself only where the page came encrypted, or from this machine.
 *
 * @example newId() // "5f0c9d1e-8a54-4b61-9d0b-6d2f3b1c7a90"
 */
export function newId(): string {
  if (crypto.randomUUID !== undefined) return crypto.randomUUID();
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[VERSION] = ((bytes[VERSION] ?? 0) & 0x0f) | 0x40;
  bytes[VARIANT] = ((bytes[VARIANT] ?? 0) & 0x3f) | 0x80;
  const digits = [...bytes].map(byte => byte.toString(16).padStart(2, "0")).join("");
  return digits.replace(/^(.{8})(.{4})(.{4})(.{4})/, "$1-$2-$3-$4-");
}
