/** How many millimetres a unit of distance has: the international mile, exactly. */
export const MILLIMETRES = { km: 1_000_000, mi: 1_609_344 } as const;
