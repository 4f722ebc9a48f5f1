import { formatAmount, isoDate, type Quote, type Result, success } from "@/core";
import {
  costLines,
  equityOverTime,
  type FirstTie,
  type HorizonAsked,
  type Kept,
  keptFor,
  staysCheaperFrom,
} from "@/core/horizon";
import { rateText } from "../text";
import { FLOW_WORDS, wayName } from "./way-names";

/** Of what each unit of distance costs: one decimal more than the currency's usual two. */
const UNIT_DECIMALS = 3;
const DISTANCE_DECIMALS = 2;

/**
 * What keeping a vehicle so long comes to, as plain JSON.
 *
 * @param asked the deal's options and what is assumed
 * @param names what the options are called
 */
export function keptJson(asked: HorizonAsked, names: readonly string[]): Result<object> {
  const kept = keptFor(asked);
  if (!kept.ok) return kept;
  const lines = costLines(asked);
  if (!lines.ok) return lines;
  const { decimals } = asked.quotes[asked.chosen] as Quote;
  const money = (minor: number) => formatAmount(minor, decimals);
  const { ways, value, percentsOf, percentsOfAmount, cash, date, least, against, ties } = kept.value;
  const lineOf = ({ option, end }: Kept["ways"][number]) =>
    lines.value.lines.find(line => line.option === option && line.end === end);
  const own = ways[against];
  const ownLine = own && lineOf(own);
  const { total, taxesFrom, ...cashLines } = cash;
  return success({
    months: asked.keepFor.months,
    date: isoDate(date),
    value: money(value),
    percentsOf,
    percentsOfAmount: money(percentsOfAmount),
    cash: {
      ...Object.fromEntries(Object.entries(cashLines).map(([name, minor]) => [name, money(minor)])),
      taxesFrom,
      total: money(total),
    },
    cheapest: least + 1,
    ways: ways.map((way, index) => {
      const { option, how, cost, net, aMonth, aUnit, owed, equity, instead } = way;
      const line = lineOf(way);
      return {
        ...(option !== null && { option: option + 1 }),
        name: wayName(way, names),
        ends: how,
        net: money(net),
        plain: money(cost.plain),
        ...(cost.today !== null && { today: money(cost.today) }),
        aMonth: money(aMonth),
        ...(aUnit !== null && { aUnit: formatAmount(aUnit, UNIT_DECIMALS) }),
        ...(owed !== null && { owed: money(owed) }),
        ...(equity !== null && { equity: money(equity) }),
        ...(how === "sold" && option !== null && line && owedJson(line.equity, lines.value.months, money)),
        ...(instead && { instead: { ends: instead.how, net: money(instead.net) } }),
        ...(ties[index] && {
          ties: {
            with: wayName(own as Kept["ways"][number], names),
            value: tieJson(ties[index].value, decimals),
            return: ties[index].yearlyReturn === null ? null : rateText(ties[index].yearlyReturn),
            ...(ties[index].distance !== undefined && {
              distance: tieJson(ties[index].distance, DISTANCE_DECIMALS),
            }),
            ...(line && ownLine && { staysCheaperFrom: staysCheaperFrom(line.net, ownLine.net) }),
            ...(line && ownLine && { staysDearerFrom: staysCheaperFrom(ownLine.net, line.net) }),
          },
        }),
        flows: way.flows.map(flow => ({
          date: isoDate(flow.date),
          amount: money(flow.amount),
          what: FLOW_WORDS[flow.name],
        })),
      };
    }),
    ...(kept.value.leftOut.length > 0 && {
      leftOut: kept.value.leftOut.map(({ option, failure }) => ({
        option: option + 1,
        error: failure.sentence,
      })),
    }),
  });
}

const tieJson = (tie: FirstTie | null, decimals: number) => tie && formatAmount(tie.at, decimals);

function owedJson(
  equity: readonly (number | null)[],
  months: number,
  money: (minor: number) => string,
): object {
  const { owedExceedsUntil, least } = equityOverTime(equity, months);
  return {
    owedExceedsWorthUntil: owedExceedsUntil,
    ...(least && { leastEquity: { month: least.month, amount: money(least.equity) } }),
  };
}
