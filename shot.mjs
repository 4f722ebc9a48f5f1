import { chromium } from "@playwright/test";
const b = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox"] });
const [,, path, out, w="1280", h="800", scheme="light"] = process.argv;
const p = await b.newPage({ viewport: { width: +w, height: +h }, colorScheme: scheme });
await p.goto("http://localhost:4399" + path, { waitUntil: "networkidle" });
if (process.env.CLICK) await p.getByText(process.env.CLICK).first().click();
await p.waitForTimeout(600);
await p.screenshot({ path: out });
await b.close();
