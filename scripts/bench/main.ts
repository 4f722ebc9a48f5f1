// Speed as ratios, side by side in one run.
import { benchCore, compareCore } from "./core";
import {
  dealScript,
  emptyScript,
  fullOptionsCosts,
  fullStructureCosts,
  keyPressCosts,
  leaseCosts,
  leaseScript,
  lineUpCosts,
  mapOpenCosts,
  optionsScript,
} from "./deal-screen";
import { benchFiles } from "./files";
import { benchHeaviest } from "./heaviest";
import { benchHistory } from "./history";
import { benchHorizon } from "./horizon";
import { benchManyOfficers } from "./many-officers";
import { benchMaps } from "./map";
import { benchMatch } from "./match";
import { benchMoves } from "./moves";
import { benchOneOfficer } from "./one-officer";
import { benchOthersWait } from "./others-wait";
import { benchPapers } from "./papers";
import { benchPrograms } from "./programs";
import { benchRegister } from "./register";
import { benchRepayment } from "./repayment-view";
import { say } from "./say";
import { openBrowser, serveEmpty, serveTree } from "./served";
import type * as Subject from "./subject";

const FRAME = 1000 / 60;
const FIRST_PORT = 4312;
const MANY_DEALS = 20_000;

/** A built tree: its folder, and the address of the work that was bundled with its sources. */
export type Tree = { folder: string; subject: string };

/** What is measured: this tree, another commit beside it or none, and the folder of the built empty page. */
export type Measured = { here: Tree; against: (Tree & { name: string }) | null; empty: string };

/** Measures all, and prints it. */
export async function measure({ here, against, empty }: Measured): Promise<void> {
  const subject: typeof Subject = await import(here.subject);
  // Before all else: where maps are made, nothing else is.
  benchMaps();
  benchMoves();
  benchPrograms();
  benchHorizon();
  benchMatch();
  await benchCore(subject);
  await benchHistory();
  const trees = [{ name: "", folder: here.folder }];
  if (against) {
    say(`\nThis tree to ${against.name}, by turns (above 1: slower)`, "");
    compareCore(subject, await import(against.subject));
    trees.push({ name: `, ${against.name}`, folder: against.folder });
  }
  benchFiles(trees);
  await benchScreen(trees, empty);
  await benchManyDeals(here.folder);
  await benchManyOfficers(here.folder, FIRST_PORT);
}

async function benchScreen(trees: { name: string; folder: string }[], empty: string): Promise<void> {
  const servers = await Promise.all([
    serveEmpty(empty, FIRST_PORT),
    ...trees.map(({ folder }, k) => serveTree(folder, FIRST_PORT + 1 + k)),
  ]);
  const [bare, ...desks] = servers.map(({ address }) => address);
  const browser = await openBrowser();
  try {
    const nothing = await emptyScript(browser, bare as string);
    for (const [k, address] of desks.entries())
      sayScript(trees[k]?.name ?? "", await dealScript(browser, address), nothing);
    sayScript(" of a lease", await leaseScript(browser, desks[0] as string), nothing, 80);
    sayScript(" of eight options", await optionsScript(browser, desks[0] as string), nothing, 80);
    await benchOneOfficer(desks.map((address, k) => ({ address, name: trees[k]?.name ?? "" })));
    const costs = await keyPressCosts(browser, desks);
    for (const [k, list] of costs.entries()) sayKeyPress(trees[k]?.name ?? "", list);
    sayKeyPress(" and a full structure", await fullStructureCosts(browser, desks[0] as string));
    sayKeyPress(
      ", a full structure, four options",
      await fullOptionsCosts(browser, desks[0] as string),
      "target ≤ 1 frame",
    );
    sayKeyPress(" of a lease", await leaseCosts(browser, desks[0] as string));
    sayKeyPress(
      ", four options, the map open",
      await mapOpenCosts(browser, desks[0] as string),
      "target ≤ 1 frame",
    );
    await benchRepayment(browser, desks[0] as string);
    const [first = 0, again = 0] = await lineUpCosts(browser, desks[0] as string);
    say(
      "opening the line-up of eight options for the first time",
      `${first.toFixed(0)} ms`,
      "target ≤ 100 ms",
    );
    say("opening it again", `${again.toFixed(0)} ms`, "target ≤ 100 ms");
  } finally {
    await browser.close();
    for (const { stop } of servers) stop();
  }
}

async function benchManyDeals(folder: string): Promise<void> {
  const { address, stop } = await serveTree(folder, FIRST_PORT, MANY_DEALS);
  const browser = await openBrowser();
  try {
    await benchRegister(browser, address, MANY_DEALS);
    await browser.close();
    await benchPapers(address);
    await benchOthersWait(address);
    await benchHeaviest(address);
  } finally {
    await browser.close();
    stop();
  }
}

function sayScript(name: string, deal: number, empty: number, target = 65): void {
  const kilobytes = (bytes: number) => `${(bytes / 1000).toFixed(1)} kB`;
  const above = `${kilobytes(deal - empty)} of ${kilobytes(deal)}`;
  say(
    `deal screen's script above an empty page's, gzip${name}`,
    above,
    name.startsWith(",") ? "" : `target ≤ ${target} kB`,
  );
}

function sayKeyPress(
  name: string,
  costs: readonly number[],
  target = name.startsWith(",") ? "" : "target ≤ 1 frame",
): void {
  const at = (share: number) => costs[Math.floor(costs.length * share)] ?? 0;
  const text = (cost: number) => `${cost.toFixed(1)} ms = ${(cost / FRAME).toFixed(2)} frames`;
  say(`key press to painted, 360 payments, median${name}`, text(at(0.5)));
  say(`key press to painted, 360 payments, p95${name}`, text(at(0.95)), target);
}
