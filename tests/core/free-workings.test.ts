import { convertRate, solveTimeValue, type TimeValue } from "@/core";
import { rateWorking, timeValueWorking } from "@/core/working";

const LOAN: TimeValue = {
  find: "payment",
  currency: "USD",
  presentValue: { amount: 1_000_000, direction: "received" },
  payment: null,
  futureValue: { amount: 0, direction: "paid" },
  payments: 60,
  yearlyRate: "6",
  frequency: "monthly",
};

test("the working of one of the five figures holds with its own numbers", () => {
  for (const find of ["payment", "presentValue", "payments", "yearlyRate"] as const) {
    const plan: TimeValue = {
      ...LOAN,
      payment: { amount: 19_333, direction: "paid" },
      [find]: null,
      find,
    };
    const answer = solveTimeValue(plan);
    if (!answer.ok) throw new Error(answer.failure.sentence);
    const { filled, parts } = timeValueWorking(plan, answer.value);
    const [equation = ""] = filled.split(" = ");
    const worth = Number(
      // Only figures and signs, as they are written.
      new Function(
        `return ${equation.replaceAll(",", "").replaceAll("−", "-").replaceAll("×", "*").replaceAll("÷", "/")}`,
      )(),
    );
    expect([find, Math.abs(worth) < 1]).toEqual([find, true]);
    expect(parts.map(({ name }) => name)).toEqual([
      "i, the rate of one month",
      "g, what 1 grows to over all of them",
    ]);
  }
});

test("without interest the working is a plain sum", () => {
  const plan: TimeValue = { ...LOAN, yearlyRate: "0" };
  const answer = solveTimeValue(plan);
  if (!answer.ok) throw new Error(answer.failure.sentence);
  expect(timeValueWorking(plan, answer.value).filled).toBe("+ 10,000.00 − 166.67 × 60 − 0.00 = 0");
});

test("the working of a rate goes by what a year makes of 1", () => {
  const [from, to] = [{ kind: "nominal", compounding: "monthly" }, { kind: "effective" }] as const;
  const converted = convertRate(12, from, to);
  if (!converted.ok) throw new Error(converted.failure.sentence);
  const step = rateWorking(12, from, to, converted.value);
  // 1.01 to the power of 12.
  expect(step.parts[0]?.result).toBe("1.1268250301");
  expect(step.result).toBe("12.6825030132 %");
});
