import { DEMO_RATES } from "#demo/rates";
import { DEMO_DEALS } from "#demo/scenario";
import { DEMO_VEHICLES } from "#demo/stock";
import { evaluate, parseIsoDate } from "@/core";
import { readDeal } from "@/exchange/deal-file";
import {
  forEveryone,
  type LeverTold,
  type ProgramsAsked,
  type ProgramTold,
  programsOnDeal,
} from "@/exchange/rates/programs-on-deal";
import { programsOf } from "@/exchange/rates/read-rates";
import { takeProgram } from "@/exchange/rates/take-program";
import { takenNow } from "@/exchange/rates/taken-now";

const PROGRAMS = programsOf(DEMO_RATES);
const TODAY = parseIsoDate("2026-12-01") ?? 0;

/** Every option of the demo's deals, held against programs with all that the dealer knows. */
const ASKED = DEMO_DEALS.flatMap(({ vehicle, place, options }) =>
  options.map(
    ({ inputs }): ProgramsAsked => ({
      inputs,
      known: {
        vehicle: DEMO_VEHICLES.find(({ id }) => id === vehicle?.id),
        applicant: { score: 704, income: "5200.00", housing: "600.00", debts: "240.00" },
        today: TODAY,
      },
      dealer: {},
      place,
      spread: "1.25",
      rank: "payment",
      usualTerms: [48, 60, 72],
      from: 0,
      most: 50,
    }),
  ),
);

const toldOf = (asked: ProgramsAsked) => {
  const told = programsOnDeal(PROGRAMS, asked);
  return told.ok ? told.value : null;
};

/** Makes an option with a program, and with something moved; what it is and what it comes to. */
function taken(asked: ProgramsAsked, { lender, name }: ProgramTold, moved: LeverTold["moved"] | undefined) {
  const named = { lender, program: name };
  const made = takeProgram(DEMO_RATES, named, { ...asked, moved });
  if (!made.ok) throw new Error(made.failure.sentence);
  const { inputs, dealer } = made.value;
  const deal = readDeal(inputs);
  const quote = deal.ok ? evaluate(deal.value) : deal;
  if (!quote.ok) throw new Error(quote.failure.sentence);
  const again = takeProgram(DEMO_RATES, named, { ...asked, inputs });
  const { plan } = inputs;
  return {
    payment: quote.value.payment,
    rate: ("moneyFactor" in plan ? plan.moneyFactor : undefined) ?? plan.yearlyRate,
    program: dealer.program?.program.name,
    // Taken again, its fee stands there once.
    fees: inputs.structure.fees?.length,
    feesAgain: again.ok ? again.value.inputs.structure.fees?.length : again.failure.sentence,
  };
}

test("an option made with a program, or with what makes it fit, comes to what was told of it", () => {
  const kinds: string[] = [];
  for (const asked of ASKED.filter((_, index) => index % 3 === 0))
    for (const row of toldOf(asked)?.rows ?? [])
      for (const { moved, payment, rate } of [{ ...row, moved: undefined }, ...row.levers]) {
        if (payment === null) continue;
        const made = taken(asked, row, moved);
        expect(made).toMatchObject({ payment, rate, program: row.name, feesAgain: made.fees });
        kinds.push(row.kind);
      }
  expect(kinds.length).toBeGreaterThan(100);
  expect([...new Set(kinds)].sort()).toEqual(["balloon", "flatRate", "lease", "loan"]);
});

test("the best comes first: by what is paid, by what it costs, by what it earns", () => {
  for (const asked of ASKED.slice(0, 12)) {
    for (const [rank, of] of [
      ["totalCost", "totalCost"],
      ["income", "income"],
    ] as const) {
      const fits = (toldOf({ ...asked, rank })?.rows ?? []).filter(({ state }) => state === "fits");
      const figures = fits.map(row => (row[of] ?? 0) * (rank === "income" ? -1 : 1));
      expect(figures).toEqual(figures.toSorted((one, other) => one - other));
    }
  }
});

test("with the dealer's side closed nothing is told that is the dealer's", () => {
  for (const asked of ASKED)
    for (const row of toldOf(asked)?.rows ?? []) {
      const { buyRate, income, levers, reasons, ...shown } = forEveryone(row);
      expect([buyRate, income, levers]).toEqual([null, null, []]);
      expect(JSON.stringify(reasons)).not.toMatch(/score|income|debt|invoice|not known/);
      expect(shown).toMatchObject({ state: row.state, payment: row.payment, rate: row.rate });
    }
});

test("an option says what has become of its program, and which of its limits it is beyond", () => {
  const [asked] = ASKED as [ProgramsAsked];
  const named = { lender: "Quillon Mutual", program: "New vehicles" };
  const made = takeProgram(DEMO_RATES, named, asked);
  const program = made.ok ? made.value.dealer.program : undefined;
  if (!made.ok || !program) throw new Error("It was not taken.");
  const option = { ...asked, inputs: made.value.inputs };
  expect(takenNow(program, DEMO_RATES, option)).toMatchObject({ state: "same", what: [], broken: [] });
  const others = DEMO_RATES.map(lender => ({
    ...lender,
    programs: lender.programs.map(each =>
      each.name === "New vehicles" ? { ...each, mostRate: "16.99" } : each,
    ),
  }));
  expect(takenNow(program, others, option)).toMatchObject({
    state: "changed",
    what: ["most rate: 17.99 % → 16.99 %"],
  });
  expect(takenNow(program, [], option).state).toBe("gone");
  const later = { ...option, known: { ...option.known, today: parseIsoDate("2027-02-01") ?? 0 } };
  expect(takenNow(program, DEMO_RATES, later).state).toBe("ranOut");
  const inputs = { ...made.value.inputs, plan: { ...made.value.inputs.plan, yearlyRate: "7.30" } };
  expect(takenNow(program, DEMO_RATES, { ...option, inputs } as ProgramsAsked).broken).toEqual([
    { limit: "rate", words: "rate 7.30 %, at most 7.25 %" },
  ]);
});
