import { askingPayment, evaluate } from "@/core";
import { cashOverTerms, isMoving, isSensible, type Move, walkMoves } from "@/core/moves";
import { type LoanFile, readLoan } from "@/exchange/kinds/loan";

/** A van of 30,000.00 less 2,000.00 at 6 % over 60 payments: 541.32. */
const VAN: LoanFile = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "30000.00", down: { amount: "2000.00" } },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 60 },
  find: "payment",
};

function deal(file: LoanFile) {
  const read = readLoan(file);
  const quote = read.ok ? evaluate(read.value) : read;
  if (!quote.ok) throw new Error(quote.failure.sentence);
  return askingPayment(quote.value.filled);
}

const WANTED = { figure: "payment", value: 46_500 } as const;
const termOf = (moves: Move[]) => moves.find(({ figure }) => figure === "payments");
/** The payment of a level loan of 28,000.00 in cents, by the formula. */
const level = (payments: number, percent: number) => {
  const rate = percent / 1200;
  return Math.round((2_800_000 * rate) / (1 - (1 + rate) ** -payments));
};

test("a usual term comes at the house's rate for it, and at the loan's own; each only where it gives what is wanted", () => {
  const own = [...walkMoves(deal(VAN), WANTED)];
  // 71.6… payments of 465.00 repay it at 6 %.
  expect(termOf(own)).toMatchObject({ to: 72 });
  const wanted = { figure: "payment", value: 43_000 } as const;
  const moves = [...walkMoves(deal(VAN), wanted, new Map([[84, "6.89"]]))];
  const found = termOf(moves);
  expect(found).toMatchObject({ figure: "payments", from: 60 });
  const usual = found && "usual" in found ? found.usual : undefined;
  expect(usual?.map(({ to, rate, after }) => [to, rate, after.payment])).toEqual([
    [84, "6.89", level(84, 6.89)],
    [84, undefined, level(84, 6)],
  ]);
  const tight = termOf([...walkMoves(deal(VAN), { ...wanted, value: 41_500 }, new Map([[84, "6.89"]]))]);
  expect(tight && "usual" in tight && tight.usual?.map(({ rate }) => rate)).toEqual([undefined]);
});

test("other terms with the rest as cash come at the house's rates, too", () => {
  const over = [...cashOverTerms(deal(VAN), WANTED, [48, 84], new Map([[84, "6.89"]]))];
  expect(over.map(({ payments, rate }) => [payments, rate])).toEqual([
    [48, undefined],
    [84, "6.89"],
  ]);
});

const NOW = { price: 4_185_000, payment: 64_574, payments: 72, perYear: 12 };
const after = {} as Extract<Move, { to: unknown }>["after"];

test.each<[Move["figure"], number | string | null, number | string | null, boolean]>([
  ["price", 4_185_000, 1_697_489, false],
  ["price", 4_185_000, 3_900_000, true],
  ["residual", 1_800_000, 4_400_000, false],
  ["residual", 1_800_000, 2_000_000, true],
  ["allowance", 920_000, 0, false],
  ["allowance", 920_000, 1_000_000, true],
  ["allowance", 0, 300_000, true],
  ["down", 300_000, 5_000_000, false],
  ["yearlyRate", "6.49", "0.4", false],
  ["yearlyRate", "6.49", "4.9", true],
  ["payments", 72, 300, false],
  ["payments", 72, 96, true],
])("moving the %s from %s to %s could be agreed: %s", (figure, from, to, isAgreed) => {
  expect(isSensible({ figure, from, to, after }, NOW)).toBe(isAgreed);
});

test("what stays as it is moves nothing", () => {
  expect(isMoving({ figure: "balloon", from: null, to: 0, after })).toBe(false);
  expect(isMoving({ figure: "balloon", from: null, to: 100, after })).toBe(true);
  expect(isMoving({ figure: "extra", index: 0, from: 64_000, to: null, after })).toBe(true);
});
