// Tables as they are pasted: whatever stands between cells, rows that are missing, other decimals, headings in the way.
import { parseIsoDate } from "@/core";
import { readTable } from "@/exchange/match/read-table";
import { notationOf } from "@/exchange/notation";
import { dealWith, quoteOf } from "../../core/deals";

const TODAY = parseIsoDate("2026-12-01") ?? 0;
const US = { notation: notationOf("en-US"), today: TODAY };
const QUOTE = quoteOf(dealWith({ price: 1_850_000 }, { yearlyRate: "7.25", payments: 48 }));
const money = (minor: number) => (minor / 100).toFixed(2);
const grouped = (minor: number) => money(minor).replace(/\B(?=(\d{3})+(?!\d))/g, ",");
const ROWS = QUOTE.schedule.map(({ number, payment, interest, principal, balance }) => [
  String(number),
  ...[payment, interest, principal, balance].map(money),
]);

const read = (text: string, place = US) => {
  const table = readTable(text, place);
  if ("sentence" in table) throw new Error(table.sentence);
  return table;
};
const first = { number: 1, payment: "445.15", interest: "111.77", principal: "333.38", balance: "18166.62" };

describe("whatever stands between the cells", () => {
  test.each([
    ["tabs", ROWS.map(row => row.join("\t")).join("\n")],
    ["semicolons", ROWS.map(row => row.join(";")).join("\r\n")],
    ["commas", ROWS.map(row => row.join(",")).join("\n")],
    [
      "commas around quoted amounts",
      QUOTE.schedule
        .map(
          row =>
            `${row.number},${[row.payment, row.interest, row.principal, row.balance].map(each => `"${grouped(each)}"`).join(",")}`,
        )
        .join("\n"),
    ],
    ["spaces", ROWS.map(row => row.join("   ")).join("\n")],
    ["one space", ROWS.map(row => row.join(" ")).join("\n")],
    ["bars", ROWS.map(row => row.join(" | ")).join("\n")],
  ])("%s", (_, text) => {
    const { rows, noticed } = read(text);
    expect(rows).toHaveLength(48);
    expect(rows[0]).toEqual(first);
    expect(rows[47]).toMatchObject({ number: 48, payment: "445.36", balance: "0.00" });
    expect(noticed).toEqual([]);
  });
});

describe("headings", () => {
  const heading = "Pmt #\tDue date\tAmount\tTo principal\tTo interest\tRemaining balance";
  const dated = QUOTE.schedule.map(
    ({ number, payment, interest, principal, balance }) =>
      `${number}\t${1 + (number % 12)}/15/${2027 + Math.floor(number / 12)}\t$${grouped(payment)}\t$${grouped(principal)}\t$${grouped(interest)}\t$${grouped(balance)}`,
  );

  test("say what columns are, with lines above them, sums of years between rows and a total below", () => {
    const text = [
      "Bramblewick Credit\tLoan 4711",
      "",
      heading,
      ...dated.slice(0, 12),
      "Total 2027\t\t5,341.80\t4,107.53\t1,234.27\t",
      ...dated.slice(12),
      "Totals\t\t21,367.41\t18,500.00\t2,867.41\t",
    ].join("\n");
    const { rows } = read(text);
    expect(rows).toHaveLength(48);
    expect(rows[0]).toEqual({ ...first, date: "2027-02-15" });
    expect(rows[12]).toMatchObject({ number: 13, date: "2028-02-15" });
  });

  test("a start that is no payment is no row", () => {
    const { rows } = read(
      [
        "No.\tPayment\tInterest\tPrincipal\tBalance",
        "0\t0.00\t0.00\t0.00\t18,500.00",
        ...ROWS.map(row => row.join("\t")),
      ].join("\n"),
    );
    expect(rows).toHaveLength(48);
    expect(rows[0]).toEqual(first);
  });
});

describe("a row short", () => {
  test("by its number", () => {
    const { rows, noticed } = read(
      ROWS.filter(([number]) => number !== "17")
        .map(row => row.join("\t"))
        .join("\n"),
    );
    expect(rows).toHaveLength(47);
    expect(noticed).toEqual(["Payment 17 is not in their table; the others are compared."]);
  });

  test("by what is owed, where rows have no numbers", () => {
    const { rows, noticed } = read(
      ROWS.filter(([number]) => number !== "17" && number !== "18")
        .map(([, ...cells]) => cells.join("\t"))
        .join("\n"),
    );
    expect(rows[15]?.number).toBe(16);
    expect(rows[16]?.number).toBe(19);
    expect(noticed).toEqual(["Payments 17 to 18 are not in their table; the others are compared."]);
  });
});

describe("other decimals", () => {
  test("a comma before decimals, also where the place has a point", () => {
    const german = ROWS.map(row => row.map(cell => cell.replace(".", ",")).join(";")).join("\n");
    expect(read(german).rows[0]).toEqual(first);
    expect(read(german, { ...US, notation: notationOf("de-DE") }).rows[0]).toEqual(first);
  });

  test("a point where the place has a comma", () => {
    const text = ROWS.map(row => row.join("\t")).join("\n");
    expect(read(text, { ...US, notation: notationOf("de-DE") }).rows[0]).toEqual(first);
  });

  test("parts of a cent stay", () => {
    const [row] = read(
      "1\t445.15\t111.7708\t333.3792\t18166.6208\n2\t445.15\t109.7567\t335.3933\t17831.2275",
    ).rows;
    expect(row).toEqual({
      number: 1,
      payment: "445.15",
      interest: "111.7708",
      principal: "333.3792",
      balance: "18166.6208",
    });
  });
});

test("a cell that is no amount is told and left out", () => {
  const { rows, noticed } = read(
    [
      "No.\tPayment\tInterest\tPrincipal\tBalance",
      "1\t445.15\t111.77\t333.38\t18,166.62",
      "2\t445.15\t1O9.76\t335.39\t17,831.23",
    ].join("\n"),
  );
  expect(rows[1]).toEqual({ number: 2, payment: "445.15", principal: "335.39", balance: "17831.23" });
  expect(noticed).toEqual(["“1O9.76” in row 2 is no amount; it is left out."]);
});

test("columns in another order and without headings are told apart by their figures", () => {
  const text = QUOTE.schedule
    .map(({ payment, interest, principal, balance }) =>
      [balance, principal, interest, payment].map(money).join("\t"),
    )
    .join("\n");
  const { rows } = read(text);
  expect(rows[1]).toMatchObject({ payment: "445.15", balance: "17831.23" });
  expect(new Set([rows[1]?.interest, rows[1]?.principal])).toEqual(new Set(["109.76", "335.39"]));
  expect(rows[1]?.principal).toBe("335.39");
});

test("what is no table, and one out of order, get a sentence", () => {
  expect(readTable("Dear customer,\nthank you.", US)).toEqual({
    sentence: expect.stringContaining("paste rows such as"),
  });
  expect(readTable("2\t445.15\t109.76\n1\t445.15\t111.77", US)).toEqual({
    sentence: "Payment 1 comes after payment 2 in their table; put them in order.",
  });
});
