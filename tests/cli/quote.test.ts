import { execFile } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

const folder = mkdtempSync(join(tmpdir(), "kellux-quote-"));
afterAll(() => rmSync(folder, { recursive: true }));

const DEAL = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "1000.00" },
  plan: { kind: "loan", yearlyRate: "6", payments: 3, frequency: "monthly", signed: "2026-11-24" },
  find: "payment",
};

function file(name: string, text: string): string {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
}

function quote(...args: string[]): Promise<{ code: number; out: string; err: string }> {
  return new Promise(resolve => {
    execFile("npm", ["run", "--silent", "quote", "--", ...args], (error, out, err) => {
      const sentences = err.split("\n").filter(line => !line.startsWith("npm warn"));
      resolve({ code: typeof error?.code === "number" ? error.code : 0, out, err: sentences.join("\n") });
    });
  });
}

test("prices one file with its table", async () => {
  const { code, out } = await quote(file("deal.json", JSON.stringify(DEAL)));
  expect(code).toBe(0);
  expect(JSON.parse(out)).toEqual({
    amountFinanced: "1000.00",
    payment: "336.67",
    payments: 3,
    finalPayment: "336.68",
    totalOfPayments: "1010.02",
    financeCharge: "10.02",
    totalCost: "1010.02",
    price: "1000.00",
    down: "0.00",
    schedule: [
      {
        number: 1,
        date: "2026-12-24",
        payment: "336.67",
        interest: "5.00",
        principal: "331.67",
        balance: "668.33",
      },
      {
        number: 2,
        date: "2027-01-24",
        payment: "336.67",
        interest: "3.34",
        principal: "333.33",
        balance: "335.00",
      },
      {
        number: 3,
        date: "2027-02-24",
        payment: "336.68",
        interest: "1.68",
        principal: "335.00",
        balance: "0.00",
      },
    ],
  });
});

test("a bad file is one sentence on standard error and exit code 2", async () => {
  const bad = file("bad.json", JSON.stringify({ ...DEAL, find: "residual" }));
  const { code, out, err } = await quote(bad);
  expect([code, out]).toEqual([2, ""]);
  expect(err.trim()).toBe(`${bad}: find is "residual"; it must be "payment", "price" or "down".`);
  expect(await quote(join(folder, "none.json"))).toMatchObject({ code: 2, out: "" });
  expect((await quote()).err).toContain("Usage:");
});

test("many deals, one a line: bad lines are reported in their place and the rest go on", async () => {
  const found = { ...DEAL, structure: {}, plan: { ...DEAL.plan, payment: "336.67" }, find: "price" };
  const lines = [
    JSON.stringify(DEAL),
    "{",
    "",
    JSON.stringify(found),
    JSON.stringify({ ...DEAL, version: 9 }),
  ];
  const path = file("many.ndjson", `${lines.join("\r\n")}\r\n`);
  const { code, out } = await quote("--many", path);
  const results = out
    .trim()
    .split("\n")
    .map(line => JSON.parse(line));
  expect(code).toBe(0);
  expect(results).toHaveLength(4);
  expect(results[0]).not.toHaveProperty("schedule");
  expect(results[1]).toEqual({ error: "This is not JSON.", line: 2 });
  // 1,000.01 would take 336.6756, which rounds past 336.67.
  expect(results[2].price).toBe("1000.00");
  expect(results[3]).toEqual({ error: "version is 9; it must be 1.", line: 5 });

  const withSchedule = await quote("--many", path, "--schedule");
  expect(JSON.parse(withSchedule.out.split("\n")[0] ?? "").schedule).toHaveLength(3);
});
