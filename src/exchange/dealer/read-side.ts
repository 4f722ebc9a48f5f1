import { currencyDecimals, type DealerSide, type ReserveTerms, type Result, success } from "@/core";
import { fileReader, type Reader } from "../reading";
import type { CostedList } from "../structure/costed-lists";
import { lineIds } from "../structure/line-ids";
import type { StructureFile } from "../structure/structure.schema";
import type { DealerOfOption } from "./dealer.schema";
import { signedMinor } from "./signed-minor";

type OptionFile = { currency: string; structure: StructureFile };

/**
 * The dealer's side of an option as the core reckons with it, by the places of its lines.
 *
 * @returns minor units, or a failure with the first amount that cannot be read
 */
export function readSide(
  { currency, structure }: OptionFile,
  known: DealerOfOption = {},
): Result<DealerSide> {
  const read = fileReader(currency);
  const amount = (name: string, typed: string | number | undefined) => read.amount("income", name, typed);
  const ofLines = (list: CostedList, name: string) =>
    lineIds(structure, list).map(id => amount(name, known.costs?.[id]));
  const { others = [], reserve, officerShare, extraChargebacks = {} } = known;
  const side: DealerSide = {
    cost: amount("cost of the vehicle", known.cost),
    feeCosts: ofLines("fees", "cost of a fee"),
    extraCosts: ofLines("extras", "cost of an extra"),
    tradeInValues: ofLines("tradeIns", "worth of a trade-in"),
    ownRebates: ofLines("rebates", "part of a rebate that is the dealer’s own"),
    lenderFee: amount("lender’s fee", known.lenderFee) ?? 0,
    others: others.map(other => ({
      name: other.name,
      amount: readSigned(other.amount, currency, other.name, read),
      in: other.in,
      isShared: other.shared ?? true,
    })),
    buyRate: known.buyRate === undefined ? null : String(known.buyRate),
    reserve: reserve ? readReserve(reserve, amount) : null,
    extraChargebacks: lineIds(structure, "extras").map((id, index) => {
      const chargeback = extraChargebacks[id];
      if (!chargeback) return null;
      // Where no term was said, it is that of the extra.
      const term = chargeback.term ?? structure.extras?.[index]?.months;
      return { ...chargeback, ...(term !== undefined && { term }) };
    }),
    officerShare: officerShare
      ? {
          percent: String(officerShare.percent),
          of: officerShare.of ?? "back",
          less: amount("fixed amount before the officer’s share", officerShare.less) ?? 0,
        }
      : null,
  };
  const failure = read.failure();
  return failure ? { ok: false, failure } : success(side);
}

export function readReserve(
  filed: NonNullable<DealerOfOption["reserve"]>,
  amount: (name: string, typed: string | number | undefined) => number | null,
): ReserveTerms {
  const { share, chargeback } = filed;
  const most = amount("most of the reserve", filed.most);
  const terms = {
    ...(share !== undefined && { share: String(share) }),
    ...(most !== null && { most }),
    ...(chargeback && { chargeback }),
  };
  if (filed.method !== "flat") return { method: filed.method, ...terms };
  return filed.percent === undefined
    ? { method: "flat", amount: amount("flat reserve", filed.amount) ?? 0, ...terms }
    : { method: "flat", percent: String(filed.percent), ...terms };
}

/** An amount that can be below zero, in minor units. */
function readSigned(typed: string | number, currency: string, name: string, read: Reader): number {
  const minor = signedMinor(typed, currencyDecimals(currency) ?? 2);
  return minor ?? read.amount("income", name, String(typed).replace(/^-/, "")) ?? 0;
}
