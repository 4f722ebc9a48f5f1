/** What was made, or why there is none. */
export type Made<What> = ({ ok: true } & What) | { ok: false; sentence: string };
