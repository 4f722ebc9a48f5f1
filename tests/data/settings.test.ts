import { DEFAULT_SETTINGS } from "@/exchange/settings";
import { Refusal } from "@/server/refusal";
import { registerPage } from "@/server/register";
import { openSettings, saveSettings } from "@/server/settings";
import { testDatabase } from "./test-database";

const open = testDatabase();

test("a house that has settled nothing has what every house starts with; what it settles stays", async () => {
  expect(await openSettings(open.store)).toEqual({
    settings: DEFAULT_SETTINGS,
    version: 0,
    changedAt: null,
  });
  const settings = { ...DEFAULT_SETTINGS, houseName: "Tarn & Hollow", locale: "de-DE" as const };
  expect(await saveSettings(open.store, { version: 0, settings })).toMatchObject({ settings, version: 1 });
  expect(await openSettings(open.store)).toMatchObject({ settings, version: 1 });
  expect((await registerPage(open.store, ASKED)).locale).toBe("de-DE");
});

const ASKED = { search: "", sort: "changedAt", descending: true, page: 1 } as const;

test("settings that were made from older ones are refused, and nothing is kept of them", async () => {
  const settings = { ...DEFAULT_SETTINGS, houseName: "Another" };
  for (const version of [0, 7]) {
    const refused = saveSettings(open.store, { version, settings });
    await expect(refused).rejects.toThrow(Refusal);
    await expect(refused).rejects.toMatchObject({ status: 409 });
  }
  expect(await openSettings(open.store)).toMatchObject({ settings: { houseName: "Tarn & Hollow" } });
});

test("of two saves at once one counts", async () => {
  const save = (houseName: string) =>
    saveSettings(open.store, { version: 1, settings: { ...DEFAULT_SETTINGS, houseName } });
  const outcomes = await Promise.allSettled([save("One"), save("Two")]);
  expect(outcomes.map(({ status }) => status).sort()).toEqual(["fulfilled", "rejected"]);
  expect((await openSettings(open.store)).version).toBe(2);
});
