const LOOPBACK = /^(localhost|127(\.\d{1,3}){3}|\[::1\])(:\d+)?$/i;

/** Whether a name or an address is this machine's own, with a port or without one. */
export const isThisMachine = (host: string): boolean => LOOPBACK.test(host) || host === "::1";
