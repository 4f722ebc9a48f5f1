// Every find through random structures of every kind of line.
import fc from "fast-check";
import { type KnownFigure, type LoanQuote, summarize } from "@/core";
import type { LoanFile } from "@/exchange/kinds/loan";
import { runs } from "../runs";
import { dealOf, structures } from "./random-structures";

/** For each find. */
const FINDS = runs(80);
/** Costs rise and fall: so many numbers past the answer are looked at. */
const PAST = 12;

type Finding = {
  find: Exclude<LoanFile["find"], "payment" | "lump">;
  /** The file without the figure, and with it. */
  leaveOut: (file: LoanFile) => LoanFile;
  put: (file: LoanFile, whole: number) => LoanFile;
  of: (quote: LoanQuote) => number;
  /** What it is found from: figures that rise with it, and those that fall. */
  rising: readonly KnownFigure[];
  falling: readonly KnownFigure[];
  /** By how many cents what is asked for may differ from what the structure comes to. */
  spread?: number;
  /** By how much the next number differs that is looked at, where one further changes nothing. */
  step?: number;
};

const withStructure = (file: LoanFile, change: Partial<LoanFile["structure"]>): LoanFile => {
  const { tradeIn: _tradeIn, ...structure } = file.structure;
  return JSON.parse(JSON.stringify({ ...file, structure: { ...structure, ...change } }));
};
const text = (minor: number) => (minor / 100).toFixed(2);
const withAllowance = (file: LoanFile, allowance: string | undefined) => {
  const [first, ...others] = file.structure.tradeIns ?? [];
  return withStructure(file, { tradeIns: [{ ...first, allowance }, ...others] });
};
const withPlan = (file: LoanFile, change: Partial<LoanFile["plan"]>): LoanFile =>
  JSON.parse(JSON.stringify({ ...file, plan: { ...file.plan, ...change } }));
const COSTS: readonly KnownFigure[] = ["totalCost", "financeCharge"];
const KNOWN: readonly KnownFigure[] = ["loanAmount", "amountFinanced", "payment", ...COSTS];
const RATE_SCALE = 10 ** 8;

const FINDINGS: Finding[] = [
  {
    find: "price",
    leaveOut: file => withStructure(file, { price: undefined }),
    put: (file, minor) => withStructure(file, { price: text(minor) }),
    of: ({ price }) => price,
    rising: [...KNOWN, "cashReceived"],
    falling: [],
  },
  {
    find: "down",
    leaveOut: file => withStructure(file, { down: undefined }),
    put: (file, minor) => withStructure(file, { down: { amount: text(minor) } }),
    of: ({ down }) => down,
    rising: ["dueAtSigning"],
    falling: KNOWN,
  },
  {
    find: "downPercent",
    leaveOut: file => withStructure(file, { down: undefined }),
    put: (file, hundredths) => withStructure(file, { down: { percent: String(hundredths / 100) } }),
    of: ({ filled: { structure } }) =>
      structure.down && "percent" in structure.down ? Math.round(Number(structure.down.percent) * 100) : -1,
    rising: ["dueAtSigning"],
    falling: KNOWN,
    spread: 4_000,
  },
  {
    find: "allowance",
    leaveOut: file => withAllowance(file, undefined),
    put: (file, minor) => withAllowance(file, text(minor)),
    of: ({ allowance }) => allowance,
    rising: [],
    falling: KNOWN,
  },
  {
    find: "yearlyRate",
    leaveOut: file => withPlan(file, { yearlyRate: undefined }),
    put: (file, whole) => withPlan(file, { yearlyRate: (whole / RATE_SCALE).toFixed(8) }),
    of: ({ yearlyRate }) => Math.round(Number(yearlyRate) * RATE_SCALE),
    rising: ["payment", ...COSTS],
    falling: [],
    step: RATE_SCALE / 1_000,
  },
  {
    find: "payments",
    leaveOut: file => withPlan(file, { payments: undefined }),
    put: (file, payments) => withPlan(file, { payments }),
    of: ({ plannedPayments }) => plannedPayments,
    rising: COSTS,
    falling: ["payment"],
  },
  {
    find: "balloon",
    leaveOut: file => file,
    put: (file, minor) => withPlan(file, { balloon: { amount: text(minor) } }),
    of: ({ agreedBalloon }) => agreedBalloon,
    rising: COSTS,
    falling: ["payment"],
    spread: 4_000,
  },
  {
    find: "extra",
    leaveOut: file => file,
    put: (file, minor) => withPlan(file, { extra: { each: text(minor) } }),
    of: ({ extraEach }) => extraEach,
    rising: [],
    falling: COSTS,
    spread: 4_000,
  },
];

const isCost = (known: KnownFigure) => known === "totalCost" || known === "financeCharge";

test.each(FINDINGS)("the $find found through a structure is the last on the right side", finding => {
  const { find, leaveOut, of, rising, falling, spread = 40 } = finding;
  let found = 0;
  fc.assert(
    fc.property(
      structures,
      fc.constantFrom(...rising, ...falling),
      fc.integer({ min: -spread, max: spread }),
      (drawn, known, cents) => {
        if (!canBeFound(drawn, find, known)) return;
        const file = withDown(drawn, find);
        const start = summarize(dealOf(file));
        const asked = start.ok ? measureOf(start.value as LoanQuote, known) + cents : 0;
        if (asked <= 0) return;
        const answer = summarize(
          dealOf({ ...leaveOut(file), ...askedFrom(leaveOut(file), known, asked), find }),
        );
        if (!answer.ok) return;
        found += 1;
        expectLast(finding, file, known, asked, of(answer.value as LoanQuote));
      },
    ),
    { numRuns: FINDS },
  );
  expect(found).toBeGreaterThan(FINDS / 3);
});

/** What a figure is found from, as a file says it. */
function askedFrom({ plan }: LoanFile, known: KnownFigure, asked: number): Partial<LoanFile> {
  return known === "payment"
    ? { plan: { ...plan, payment: text(asked) } }
    : { from: { [known]: text(asked) } as LoanFile["from"] };
}

/** That a number comes to no more than was asked for, and the numbers past it do. */
function expectLast(
  finding: Finding,
  file: LoanFile,
  known: KnownFigure,
  asked: number,
  value: number,
): void {
  const { find, put, rising, step } = finding;
  const at = (whole: number) => {
    if (whole < 0 || (whole === 0 && find === "payments")) return undefined;
    const quote = summarize(dealOf({ ...put(file, whole), find: "payment" }));
    return quote.ok ? measureOf(quote.value as LoanQuote, known) : undefined;
  };
  const own = at(value);
  if (known !== "payment" || own !== undefined)
    expect([known, own, (own ?? 0) <= asked]).toEqual([known, own, true]);
  if (find === "yearlyRate" && isCost(known)) {
    // With each hundred-millionth of a percent other rows round up: what it comes to is near, and no more can be said.
    expect([own, asked - (own ?? 0) <= 2 * (file.plan.payments ?? 0) + 2]).toEqual([own, true]);
    return;
  }
  const onwards = (rising.includes(known) ? 1 : -1) * (step ?? 1);
  const past = Array.from({ length: isCost(known) || step ? PAST : 1 }, (_, k) => value + onwards * (1 + k));
  // Balloons of all that is owed, beyond the last that can be agreed, come and go by the cent.
  const end = find === "balloon" ? past.findIndex(whole => at(whole) === undefined) : -1;
  const better = past.slice(0, end < 0 ? undefined : end).filter(whole => {
    const measure = at(whole) ?? Number.POSITIVE_INFINITY;
    // Of rates that come to the same the roundest is found.
    return measure <= asked && (step === undefined || measure > (own ?? 0));
  });
  expect([known, value, better]).toEqual([known, value, []]);
}

/** Only a personal loan pays cash out, and only a vehicle has a trade-in. */
function canBeFound({ structure }: LoanFile, find: Finding["find"], known: KnownFigure): boolean {
  const isPersonal = structure.purpose !== undefined;
  return isPersonal ? find !== "allowance" : known !== "cashReceived";
}

/** A cash down is found, and an allowance, where the cash down is not what is left of a sum. */
function withDown(file: LoanFile, find: Finding["find"]): LoanFile {
  const { down } = file.structure;
  const isFromDue = down !== undefined && "dueAtSigning" in down;
  return find === "down" || find === "downPercent" || isFromDue
    ? withStructure(file, { down: { amount: "100.00" } })
    : file;
}

function measureOf(quote: LoanQuote, known: KnownFigure): number {
  const figure = quote[known as "payment" | "dueAtSigning" | "cashReceived"];
  return typeof figure === "number" ? figure : (figure?.total ?? 0);
}
