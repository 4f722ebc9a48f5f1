/**
 * Lets everything else that waits for this thread be served first. Called between the steps of a request that can be
 * large, which would otherwise run as one: what the database answers comes without a pause.
 */
export const othersFirst = (): Promise<void> => new Promise(resolve => setImmediate(resolve));
