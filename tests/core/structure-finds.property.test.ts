// Every find through random structures of every kind of line.
import fc from "fast-check";
import { type KnownFigure, type Quote, summarize } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import { dealOf, structures } from "./random-structures";

/** For each find. */
const FINDS = Math.ceil(Number(process.env.KELLUX_RUNS ?? 5_000) / 3);
/** Costs rise and fall: so many numbers past the answer are looked at. */
const PAST = 12;

type Finding = {
  find: "price" | "down" | "allowance";
  /** The file without the figure, and with it. */
  leaveOut: (file: DealFile) => DealFile;
  put: (file: DealFile, minor: number) => DealFile;
  of: (quote: Quote) => number;
  known: readonly KnownFigure[];
  /** Whether the known figure rises with it. */
  rises: boolean;
};

const withStructure = (file: DealFile, change: Partial<DealFile["structure"]>): DealFile => {
  const { tradeIn: _tradeIn, ...structure } = file.structure;
  return JSON.parse(JSON.stringify({ ...file, structure: { ...structure, ...change } }));
};
const text = (minor: number) => (minor / 100).toFixed(2);
const withAllowance = (file: DealFile, allowance: string | undefined) => {
  const [first, ...others] = file.structure.tradeIns ?? [];
  return withStructure(file, { tradeIns: [{ ...first, allowance }, ...others] });
};
const KNOWN: readonly KnownFigure[] = [
  "loanAmount",
  "amountFinanced",
  "payment",
  "totalCost",
  "financeCharge",
];

const FINDINGS: Finding[] = [
  {
    find: "price",
    leaveOut: file => withStructure(file, { price: undefined }),
    put: (file, minor) => withStructure(file, { price: text(minor) }),
    of: ({ price }) => price,
    known: [...KNOWN, "cashReceived"],
    rises: true,
  },
  {
    find: "down",
    leaveOut: file => withStructure(file, { down: undefined }),
    put: (file, minor) => withStructure(file, { down: { amount: text(minor) } }),
    of: ({ down }) => down,
    known: KNOWN,
    rises: false,
  },
  {
    find: "allowance",
    leaveOut: file => withAllowance(file, undefined),
    put: (file, minor) => withAllowance(file, text(minor)),
    of: ({ allowance }) => allowance,
    known: KNOWN,
    rises: false,
  },
];

const isCost = (known: KnownFigure) => known === "totalCost" || known === "financeCharge";

test.each(FINDINGS)(
  "the $find found through a structure is the last on the right side",
  ({ find, leaveOut, put, of, known: knowns, rises }) => {
    let found = 0;
    fc.assert(
      fc.property(
        structures,
        fc.constantFrom(...knowns),
        fc.integer({ min: -40, max: 40 }),
        (file, known, cents) => {
          if (!canBeFound(file, find, known)) return;
          const start = summarize(dealOf(withDown(file, find)));
          if (!start.ok) return;
          const asked = measureOf(start.value as Quote, known) + cents;
          const from =
            known === "payment"
              ? { plan: { ...file.plan, payment: text(asked) } }
              : { from: { [known]: text(asked) } as DealFile["from"] };
          if (asked <= 0) return;
          const open = { ...leaveOut(withDown(file, find)), ...from, find } as DealFile;
          const answer = summarize(dealOf(open));
          if (!answer.ok) return;
          found += 1;
          const value = of(answer.value as Quote);
          const at = (minor: number) => {
            if (minor < 0) return Number.POSITIVE_INFINITY;
            const quote = summarize(dealOf({ ...put(withDown(file, find), minor), find: "payment" }));
            return quote.ok ? measureOf(quote.value as Quote, known) : undefined;
          };
          const own = at(value);
          if (known !== "payment" || own !== undefined)
            expect([known, own, (own ?? 0) <= asked]).toEqual([known, own, true]);
          const beyond = Array.from(
            { length: isCost(known) ? PAST : 1 },
            (_, k) => value + (rises ? 1 + k : -1 - k),
          );
          const better = beyond.filter(
            minor => minor >= 0 && (at(minor) ?? Number.POSITIVE_INFINITY) <= asked,
          );
          expect([known, value, better]).toEqual([known, value, []]);
        },
      ),
      { numRuns: FINDS },
    );
    expect(found).toBeGreaterThan(FINDS / 3);
  },
);

/** Only a personal loan pays cash out, and only a vehicle has a trade-in. */
function canBeFound({ structure }: DealFile, find: Finding["find"], known: KnownFigure): boolean {
  const isPersonal = structure.purpose !== undefined;
  return isPersonal ? find !== "allowance" : known !== "cashReceived";
}

/** A cash down is found, and an allowance, where the cash down is not what is left of a sum. */
function withDown(file: DealFile, find: Finding["find"]): DealFile {
  const { down } = file.structure;
  const isFromDue = down !== undefined && "dueAtSigning" in down;
  return find === "down" || isFromDue ? withStructure(file, { down: { amount: "100.00" } }) : file;
}

function measureOf(quote: Quote, known: KnownFigure): number {
  const figure = quote[known as "payment" | "dueAtSigning" | "cashReceived"];
  return typeof figure === "number" ? figure : (figure?.total ?? 0);
}
