/** Runs once when the server starts, before the first request. */
export async function register(): Promise<void> {
  // A build starts servers too, to make its pages; those must not touch the data.
  if (process.env.NEXT_RUNTIME !== "nodejs" || !process.env.KELLUX_SERVING) return;
  const { start } = await import("@/server/startup");
  // Not waited for: the first page is made ready while the database opens, and waits for it by itself.
  void start();
}
