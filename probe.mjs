import { chromium } from "@playwright/test";

const b = await chromium.launch({
  executablePath: "/usr/bin/chromium",
  args: ["--no-sandbox", "--disable-gpu"],
});
const page = await b.newPage({ viewport: { width: 1280, height: 800 } });
const u = "http://localhost:4399";
const open = async n => {
  await page.goto(u + "/?search=" + encodeURIComponent(n));
  await page.getByRole("row", { name: n }).getByRole("link").first().click();
  await page.waitForURL("**/deals/*");
  await page.waitForTimeout(1200);
};
await open("Hesper Vale");
await page.screenshot({ path: "/tmp/p1.png" });
console.log(await page.evaluate(() => [document.documentElement.scrollHeight]));
await page
  .getByRole("button", { name: /[Cc]alendar|Pick/ })
  .first()
  .click()
  .catch(e => console.log("no cal"));
await page.waitForTimeout(400);
await page.screenshot({ path: "/tmp/p2.png" });
await page.setViewportSize({ width: 390, height: 844 });
await page.keyboard.press("Escape");
await page.waitForTimeout(500);
await page.screenshot({ path: "/tmp/p3.png" });
console.log(await page.evaluate(() => [document.documentElement.scrollWidth]));
await b.close();
