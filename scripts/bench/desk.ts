import type { CDPSession, Page } from "@playwright/test";

/** A page of the application, and what tells how busy it is. */
export type Desk = { page: Page; devtools: CDPSession };

/** Brings a deal in as a file, and gives its address. */
export async function broughtIn(page: Page, address: string, deal: object): Promise<string> {
  const file = { format: "kellux-deal", version: 1, currency: "USD", ...deal, find: "payment" };
  const answer = await page.request.post(`${address}/api/deals/import`, {
    data: { fileName: "A deal.json", text: JSON.stringify(file) },
  });
  const { id } = (await answer.json()) as { id: string };
  return `${address}/deals/${id}`;
}

/** The page with what tells how busy it is. */
export async function watched(page: Page): Promise<Desk> {
  const devtools = await page.context().newCDPSession(page);
  await devtools.send("Performance.enable");
  return { page, devtools };
}

/** Milliseconds that scripts, styles and layout have kept the main thread so far. */
async function busy({ devtools }: Desk): Promise<number> {
  const { metrics } = await devtools.send("Performance.getMetrics");
  return ["ScriptDuration", "LayoutDuration", "RecalcStyleDuration"].reduce(
    (sum, name) => sum + (metrics.find(metric => metric.name === name)?.value ?? 0) * 1000,
    0,
  );
}

/** What something keeps the main thread busy with until it is painted, in milliseconds of scripts, styles and layout. */
export async function costOf(desk: Desk, act: (page: Page) => Promise<void>): Promise<number> {
  const before = await busy(desk);
  await act(desk.page);
  await desk.page.evaluate(
    () => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done))),
  );
  return (await busy(desk)) - before;
}
