// Papers that were given stay, whole, for as long as the house keeps them; and the house's logo.
import { createHash } from "node:crypto";
import sharp from "sharp";
import { DEFAULT_SETTINGS } from "@/exchange/settings";
import { packed, unpacked } from "@/server/papers/kept-bytes";
import { keepLogo, logoOf, withKeptLogo } from "@/server/papers/logo";
import { removeOld } from "@/server/retention";
import { openSettings, saveSettings } from "@/server/settings";
import { numberedDeal } from "../data/numbered-deal";
import { testDatabase } from "../data/test-database";

const data = testDatabase();

async function given(dealId: string, text: string, at: Date) {
  const paper = { dealId, optionId: null, kind: "proposal", fileName: "A, proposal.pdf", at, dealVersion: 1 };
  await data.store.keepGivenPaper({ ...paper, coreVersion: "4", ...(await packed(Buffer.from(text))) });
}

const dealId = async () => (await data.store.insertDeals([numberedDeal(1)]))[0] ?? "";

test("a paper that is given is kept whole, once however often it is given", async () => {
  const id = await dealId();
  await given(id, "%PDF one", new Date("2026-12-01T09:00:00Z"));
  await given(id, "%PDF one", new Date("2026-12-02T09:00:00Z"));
  await given(id, "%PDF two", new Date("2026-12-03T09:00:00Z"));
  const papers = await data.store.givenPapers(id);
  expect(papers.map(({ at }) => at.toISOString().slice(0, 10))).toEqual(["2026-12-03", "2026-12-01"]);
  const one = await data.store.givenPaper(id, papers[1]?.id ?? "");
  expect((await unpacked(one?.bytes ?? new Uint8Array())).toString()).toBe("%PDF one");
  // Of another deal it is none.
  expect(await data.store.givenPaper(await dealId(), papers[1]?.id ?? "")).toBeUndefined();
});

test("the bytes are known by the digest of what is kept", async () => {
  const { sha256, bytes } = await packed(Buffer.from("%PDF"));
  expect(sha256).toBe(createHash("sha256").update(bytes).digest("hex"));
});

test("papers are removed once the house has kept them for as long as it has settled; that they were given stays", async () => {
  const id = await dealId();
  await given(id, "%PDF old", new Date("2026-12-01T09:00:00Z"));
  await given(id, "%PDF new", new Date("2028-12-01T09:00:00Z"));
  const now = new Date("2029-02-01T09:00:00Z");
  // A house that has settled nothing keeps them for good.
  expect((await removeOld(data.store, now)).papers).toBe(0);
  const { version } = await openSettings(data.store);
  const logo = await keepLogo(data.store, await picture(20, 10));
  await saveSettings(data.store, {
    version,
    settings: { ...DEFAULT_SETTINGS, papers: { monthsKept: 25, logo } },
  });
  expect((await removeOld(data.store, now)).papers).toBeGreaterThan(0);
  const [kept, gone] = await data.store.givenPapers(id);
  expect([kept?.removedAt, gone?.removedAt instanceof Date]).toEqual([null, true]);
  expect((await data.store.givenPaper(id, gone?.id ?? ""))?.bytes).toBeNull();
  expect((await data.store.givenPaper(id, kept?.id ?? ""))?.bytes).not.toBeNull();
  // Nothing names its bytes any more; the logo's are named.
  expect(await data.store.blobOf((await packed(Buffer.from("%PDF old"))).sha256)).toBeUndefined();
  expect(await logoOf(data.store, logo.sha256)).toBeDefined();
});

const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 4, background: { r: 200, g: 20, b: 20, alpha: 0.5 } } })
    .png()
    .toBuffer();

describe("a logo", () => {
  test("is written anew: no larger than papers need, without what came with it", async () => {
    const withSecret = await sharp(await picture(1600, 1600))
      .withExif({ IFD0: { Copyright: "somebody's secret" } })
      .jpeg()
      .toBuffer();
    expect(withSecret.toString("latin1")).toContain("somebody's secret");
    const { sha256 } = await keepLogo(data.store, withSecret);
    const kept = (await logoOf(data.store, sha256)) ?? Buffer.alloc(0);
    const { format, width, height, hasAlpha } = await sharp(kept).metadata();
    expect([format, width, height, hasAlpha]).toEqual(["png", 400, 400, false]);
    expect(kept.toString("latin1")).not.toContain("somebody's secret");
  });

  test.each([
    ["text", Buffer.from("no picture")],
    ["a drawing", Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>')],
    ["nothing", Buffer.alloc(0)],
    ["a picture cut off", Buffer.from("89504e470d0a1a0a0000000d49484452", "hex")],
  ])("that is %s is refused with a sentence", async (_, file) => {
    await expect(keepLogo(data.store, file)).rejects.toMatchObject({
      status: 422,
      message: "This is no PNG or JPEG picture that can be read.",
    });
  });

  test("comes with a file of settings, and is then known by its digest; one that is not kept is refused", async () => {
    const image = (await picture(30, 30)).toString("base64");
    const { papers } = await withKeptLogo(data.store, { ...DEFAULT_SETTINGS, papers: { logo: { image } } });
    const kept = papers?.logo as { sha256: string } | undefined;
    expect(await logoOf(data.store, kept?.sha256 ?? "")).toBeDefined();
    const other = { ...DEFAULT_SETTINGS, papers: { logo: { sha256: "0".repeat(64) } } };
    await expect(withKeptLogo(data.store, other)).rejects.toMatchObject({ status: 422 });
  });
});
