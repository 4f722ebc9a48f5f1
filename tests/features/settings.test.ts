import { DEMO_SETTINGS } from "#demo/settings";
import { DEFAULT_SETTINGS, newDealInputs, type Settings, withTaxProfile } from "@/exchange/settings";
import { fieldText } from "@/features/deal/option";
import {
  isUnreadable,
  openSettingsState,
  type SettingsAction,
  type SettingsState,
  settingsOf,
  settingsReducer,
} from "@/features/settings/settings-state";
import { checkSettingsRequest } from "@/server/requests";

function settled(from: Settings, ...actions: SettingsAction[]): SettingsState {
  return actions.reduce(settingsReducer, openSettingsState(from));
}

const check = (settings: unknown) => checkSettingsRequest({ version: 0, settings });

test("what opens is what is kept: nothing is lost on the screen", () => {
  for (const settings of [DEFAULT_SETTINGS, DEMO_SETTINGS, { ...DEMO_SETTINGS, locale: "de-DE" as const }])
    expect(settingsOf(openSettingsState(settings))).toEqual(settings);
});

test("the demo's settings pass their own check, and every profile makes a deal", () => {
  expect(check(DEMO_SETTINGS)).toMatchObject({ ok: true });
  expect(DEMO_SETTINGS.taxProfiles).toHaveLength(5);
});

test("figures are typed as at the house's place, and kept plain", () => {
  const state = settled(
    DEMO_SETTINGS,
    { type: "house", change: { locale: "de-DE" } },
    { type: "usual", action: { type: "typed", field: "fees/0/amount", text: "1.299,50" } },
    { type: "usual", action: { type: "typed", field: "yearlyRate", text: "5,95" } },
  );
  expect(settingsOf(state)).toMatchObject({
    locale: "de-DE",
    plan: { yearlyRate: "5.95" },
    fees: [{ name: "Documents", amount: "1299.50" }, {}, {}, {}],
  });
  expect(fieldText(state.usual, "extras/0/amount")).toBe("1.890,00");
  expect(isUnreadable(state)).toBe(false);
});

test("what cannot be read stays in its field, and is not kept", () => {
  const state = settled(DEMO_SETTINGS, {
    type: "usual",
    action: { type: "typed", field: "fees/0/amount", text: "29o" },
  });
  expect(isUnreadable(state)).toBe(true);
  expect(fieldText(state.usual, "fees/0/amount")).toBe("29o");
  expect(settingsOf(state)).toEqual(DEMO_SETTINGS);
});

test("profiles are added, named, marked and taken out; one alone is in every deal", () => {
  const state = settled(
    DEMO_SETTINGS,
    { type: "addProfile" },
    { type: "profileHeading", key: 5, change: { name: "Islands" } },
    { type: "profileHeading", key: 0, change: { inEveryDeal: true } },
    { type: "profileHeading", key: 5, change: { inEveryDeal: true } },
    { type: "profile", key: 5, action: { type: "typed", field: "taxes/0/rate", text: "3.5" } },
    { type: "dropProfile", key: 1 },
  );
  const { taxProfiles = [] } = settingsOf(state);
  expect(taxProfiles.map(({ name }) => name)).toEqual([
    "Marrow Bay, new vehicle",
    "Across the sound",
    "Cargo bikes",
    "Tax in the price",
    "Islands",
  ]);
  expect(taxProfiles.filter(({ inEveryDeal }) => inEveryDeal)).toEqual([
    {
      name: "Islands",
      inEveryDeal: true,
      taxes: [{ name: "Sales tax", rate: "3.5", on: ["price", "fees", "extras"] }],
    },
  ]);
});

test("a new deal starts with a copy of the plan and of what is in every deal, without the marks", () => {
  const [documents, title] = DEMO_SETTINGS.fees ?? [];
  const house: Settings = {
    ...DEMO_SETTINGS,
    fees: [{ ...documents, inEveryDeal: true } as never, title as never],
    taxProfiles: DEMO_SETTINGS.taxProfiles?.map((profile, index) => ({
      ...profile,
      ...(index === 4 && { inEveryDeal: true }),
    })),
  } as Settings;
  expect(newDealInputs(house, "2026-11-24")).toEqual({
    format: "kellux-deal",
    version: 1,
    currency: "USD",
    structure: {
      taxIncluded: true,
      taxes: [{ name: "Sales tax", rate: "8.5", on: ["price", "fees", "extras"] }],
      fees: [{ id: "documents", name: "Documents", amount: "299.00", taxable: true }],
    },
    plan: {
      kind: "loan",
      yearlyRate: "6.49",
      payments: 60,
      frequency: "monthly",
      rounding: "nearest",
      signed: "2026-11-24",
    },
    find: "payment",
  });
});

test("a profile takes the place of the deal's own taxes; with tax in the price no rebate comes before it", () => {
  const structure = {
    price: "20000.00",
    taxIncluded: true,
    taxes: [{ name: "Old", rate: "1", on: ["price" as const] }],
    rebates: [{ name: "Maker's rebate", amount: "500.00", beforeTax: true }],
  };
  const [added, , , , included] = DEMO_SETTINGS.taxProfiles ?? [];
  expect(withTaxProfile(structure, added as never)).toEqual({
    price: "20000.00",
    taxes: added?.taxes,
    rebates: structure.rebates,
  });
  expect(withTaxProfile(structure, included as never)).toEqual({
    price: "20000.00",
    taxIncluded: true,
    taxes: included?.taxes,
    rebates: [{ name: "Maker's rebate", amount: "500.00" }],
  });
});

test.each<[string, unknown, string]>([
  ["nothing", undefined, "settings is missing."],
  ["another format", { ...DEMO_SETTINGS, format: "kellux-deal" }, "settings.format is"],
  ["a member that is not known", { ...DEMO_SETTINGS, colour: "blue" }, "settings.colour is not known."],
  [
    "a place that is not known",
    { ...DEMO_SETTINGS, locale: "xx" },
    'settings.locale is "xx"; it must be "en-US"',
  ],
  ["a currency that is none", { ...DEMO_SETTINGS, currency: "QQQ" }, "QQQ is not a known currency"],
  ["a name of two lines", { ...DEMO_SETTINGS, houseName: "Tarn\n& Hollow" }, "settings.houseName is"],
  [
    "a fee that has an amount and a percent",
    { ...DEMO_SETTINGS, fees: [{ name: "Fee", amount: "1", percent: "2", percentOf: "price" }] },
    "Fee must have an amount, or a percent",
  ],
  [
    "a fee kept back, which only a personal loan has",
    { ...DEMO_SETTINGS, fees: [{ name: "Fee", amount: "1", keptBack: true }] },
    "settings.fees.0.keptBack is not known.",
  ],
  [
    "a cap on a tax in the price",
    {
      ...DEMO_SETTINGS,
      taxProfiles: [
        { name: "A", taxIncluded: true, taxes: [{ name: "T", rate: "5", on: ["price"], cap: "9" }] },
      ],
    },
    "T is in the price, so nothing can be credited on it",
  ],
  [
    "more decimals than the currency has",
    { ...DEMO_SETTINGS, currency: "JPY" },
    "148.50; it must be an amount from 0 to 1,000,000,000 with at most 0 decimals.",
  ],
  [
    "a profile without a tax",
    { ...DEMO_SETTINGS, taxProfiles: [{ name: "A", taxes: [] }] },
    "settings.taxProfiles.0.taxes is a list; it must be a list of 1 to 3 taxes.",
  ],
  [
    "thirty profiles",
    { ...DEMO_SETTINGS, taxProfiles: Array(30).fill(DEMO_SETTINGS.taxProfiles?.[0]) },
    "settings.taxProfiles is a list; it must be a list of at most 20 tax profiles.",
  ],
])("settings with %s are refused", (_name, settings, sentence) => {
  const checked = check(settings);
  expect(checked.ok ? "taken" : checked.sentence).toContain(sentence);
});
