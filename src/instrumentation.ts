/** Runs once when the server starts, before the first request. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const { start } = await import("@/server/startup");
  await start();
}
