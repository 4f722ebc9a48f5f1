/** Calls back each second, also while the page is hidden. */
export function startBeat(onBeat: () => void): () => void {
  const thread = new Worker(new URL("./beat-worker.ts", import.meta.url), { type: "module" });
  thread.onmessage = onBeat;
  return () => thread.terminate();
}
