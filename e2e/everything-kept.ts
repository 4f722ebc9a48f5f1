import { type APIRequestContext, expect, type Page } from "@playwright/test";

/** All that the server keeps of an officer's work. */
export async function everythingKept(request: APIRequestContext): Promise<string[]> {
  const paths = [
    "/api/deals/all?with=dealer",
    "/api/settings",
    "/api/settings/dealer",
    "/api/stock",
    "/api/stock/costs",
    "/api/rates/dealer",
  ];
  return Promise.all(paths.map(path => answered(request, path)));
}

/** A connection that rested may be closed just as it is used again; a browser then asks once more, and so does this. */
async function answered(request: APIRequestContext, path: string): Promise<string> {
  const ask = async () => (await request.get(path)).text();
  return ask().catch(error => {
    if (String(error).includes("ECONNRESET")) return ask();
    throw error;
  });
}

const LONGEST_SAVE_MS = 1000;
/** All that is kept by then may be much to read twice on a slow machine. */
const LONGEST_WAIT_MS = 60_000;

/**
 * Leaves the page of the test before and waits until what was typed there last is saved, so that what is kept changes by
 * this test alone.
 */
export async function leaveTheLastPage(page: Page, request: APIRequestContext): Promise<void> {
  await page.goto("about:blank");
  let last: string[] = [];
  const isStill = async () => {
    const before = last.join();
    last = await everythingKept(request);
    return last.join() === before;
  };
  await expect.poll(isStill, { intervals: [LONGEST_SAVE_MS], timeout: LONGEST_WAIT_MS }).toBe(true);
}
