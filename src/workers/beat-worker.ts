// A beat each second: a page's own timers slow down while it is hidden, a thread's do not.
const BEAT_MS = 1000;

setInterval(() => postMessage("beat"), BEAT_MS);

export {};
