/** Advisory locks of a server, by the two numbers that it knows them by: what one process at a time does of all that work on it. */
const KELLUX = 75_3187;

const NUMBERS = { migrating: 1, keeper: 2, restoring: 3 } as const;

export type ServerLock = keyof typeof NUMBERS;

/** The numbers of a lock, as the server's functions take them. */
export const lockNumbers = (lock: ServerLock): [number, number] => [KELLUX, NUMBERS[lock]];
