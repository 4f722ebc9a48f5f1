import { Plus } from "lucide-react";
import type { ReactNode } from "react";
import { type EarnedLine, incomeWorking } from "@/core";
import { costedLines, type DealerOfOption } from "@/exchange/dealer";
import { withOptional } from "@/exchange/members";
import { amountIn } from "@/exchange/notation";
import { capital } from "@/exchange/text";
import { askedOf } from "../kinds/asked";
import { useNotation, useOption } from "../option/option-context";
import { How } from "../repayment/How";
import { KnownField } from "./KnownField";
import { reserveRemark, shareRemark } from "./remarks";
import type { Earning } from "./use-income";

type Props = { id: string; earning: Earning; known: DealerOfOption; put: (next: DealerOfOption) => void };

/** What each line of an option earns, with what is known of it typed beside it. */
export function IncomeLines({ id, earning, known, put }: Props) {
  const { option } = useOption();
  const { notation, say } = useNotation();
  const { quote, side, earned } = earning;
  const { inputs } = option;
  const money = (minor: number | null) =>
    minor === null ? "not known" : amountIn(minor, inputs.currency, notation);
  const lines = costedLines({ id, name: "", inputs });
  const isPersonal = inputs.structure.purpose !== undefined;
  const earnedBy = (of: EarnedLine["of"], index: number) =>
    [...earned.front.lines, ...earned.back.lines].find(line => line.of === of && line.index === index);
  const costRow = (line: (typeof lines)[number]) => {
    const by = earnedBy(OF_LIST[line.list], line.index);
    return (
      <IncomeRow
        key={line.id}
        name={line.name}
        remark={by?.difference ? by.difference.map(money).join(" − ") : NOT_KNOWN[line.list]}
        field={
          <KnownField
            label={capital(line.words)}
            of="amount"
            value={known.costs?.[line.id]}
            put={cost =>
              put({
                ...known,
                costs: withOptional({ ...known.costs }, line.id, cost) as Record<string, string>,
              })
            }
          />
        }
        amount={by ? money(by.amount) : ""}
      />
    );
  };
  const othersIn = (side: "front" | "back") =>
    (known.others ?? []).flatMap((other, index) =>
      // biome-ignore lint/suspicious/noArrayIndexKey: they are told apart by their places alone.
      other.in === side ? [<OtherRow key={`other ${index}`} index={index} known={known} put={put} />] : [],
    );
  const inFront = lines.filter(({ list }) => list !== "extras");
  const price = earnedBy("price", 0);
  return (
    <div className="grid grid-cols-[1fr_auto_auto] items-center gap-x-3 [&_.field]:h-7.5">
      <div className="col-span-3 grid grid-cols-subgrid text-faint text-sm">
        <span />
        <span className="text-right">cost, or worth</span>
        <span className="text-right">earned, {inputs.currency}</span>
      </div>
      {!isPersonal && (
        <IncomeRow
          name={price ? "Price less cost" : "Price"}
          remark={price?.difference ? price.difference.map(money).join(" − ") : "type what the vehicle cost"}
          field={
            <KnownField
              label="Cost of the vehicle"
              of="amount"
              value={known.cost}
              put={cost => put(withOptional(known, "cost", cost))}
            />
          }
          amount={price ? money(price.amount) : ""}
        />
      )}
      {inFront.map(costRow)}
      {othersIn("front")}
      <IncomeRow name="Front gross" amount={money(earned.front.total)} isSum />
      {lines.filter(({ list }) => list === "extras").map(costRow)}
      <IncomeRow
        name="Reserve"
        remark={say(reserveRemark(quote, known))}
        field={
          <KnownField
            label="Buy rate"
            of="percent"
            value={known.buyRate}
            put={rate => put(withOptional(known, "buyRate", rate))}
            placeholder={
              askedOf(quote.filled).rateFigure(quote.filled.plan) === "moneyFactor" ? "factor" : "buy rate"
            }
          />
        }
        amount={side.reserve ? money(earned.reserve?.amount ?? null) : ""}
      />
      <IncomeRow
        name="Lender’s fee"
        remark="that the dealer pays"
        field={
          <KnownField
            label="Lender’s fee"
            of="amount"
            value={known.lenderFee}
            put={fee => put(withOptional(known, "lenderFee", fee))}
          />
        }
        amount={side.lenderFee > 0 ? money(-side.lenderFee) : ""}
      />
      {othersIn("back")}
      <IncomeRow name="Back gross" amount={money(earned.back.total)} isSum />
      <div className="col-span-3 py-1">
        <button
          type="button"
          className="flex min-h-6 cursor-pointer items-center gap-1 text-primary text-sm"
          onClick={() =>
            put({
              ...known,
              others: [...(known.others ?? []), { name: "Holdback", amount: "0", in: "front" }],
            })
          }
        >
          <Plus size={14} aria-hidden="true" />
          Other amount: holdback, dealer cash, pack …
        </button>
      </div>
      <div className="col-span-3 mt-1 flex items-baseline justify-between border-base-content border-t-2 py-1.5 font-semibold text-lg">
        Earned in all
        <output aria-label="Earned in all" className="font-serif">
          {money(earned.total)}
        </output>
      </div>
      <div className="col-span-3 text-sm">
        {earned.officerShare !== null && (
          <p data-testid="officer-share" className="text-faint">
            {say(shareRemark(known, inputs.currency))}: {money(earned.officerShare)}
          </p>
        )}
        {earned.notes.map(note => (
          <p key={note} role="status" className="text-warning">
            {say(note)}
          </p>
        ))}
        <How of="what is earned" working={() => incomeWorking(quote, side, earned)} />
      </div>
    </div>
  );
}

const OF_LIST = { fees: "fee", extras: "extra", tradeIns: "tradeIn", rebates: "rebate" } as const;

const NOT_KNOWN = {
  fees: "passed on: earns nothing",
  extras: "type what it costs",
  tradeIns: "type what it is worth",
  rebates: "the maker’s",
} as const;

type RowProps = { name: ReactNode; remark?: string; field?: ReactNode; amount: string; isSum?: boolean };

/** One line: what it is and of what, what is known of it, and what it earns. */
function IncomeRow({ name, remark, field, amount, isSum }: RowProps) {
  const style = isSum ? "border-base-300 border-y font-semibold bg-base-200/60" : "border-base-300 border-t";
  return (
    <div className={`col-span-3 grid grid-cols-subgrid items-center py-0.5 ${style}`}>
      <div className="flex min-w-0 flex-wrap items-baseline gap-x-2 leading-tight">
        {name}
        {remark && <span className="text-faint text-sm">{remark}</span>}
      </div>
      <div>{field}</div>
      <span className="min-w-24 text-right tabular-nums">{amount}</span>
    </div>
  );
}

type OtherProps = { index: number; known: DealerOfOption; put: (next: DealerOfOption) => void };

/** An amount that belongs to no line of the deal. */
function OtherRow({ index, known, put }: OtherProps) {
  const others = known.others ?? [];
  const other = others[index];
  if (!other) return null;
  const change = (next: Partial<typeof other>) =>
    put({ ...known, others: others.map((each, at) => (at === index ? { ...each, ...next } : each)) });
  const rest = others.filter((_, at) => at !== index);
  const name = `Other amount ${index + 1}`;
  return (
    <IncomeRow
      name={
        <span className="flex flex-wrap items-center gap-x-2 gap-y-1">
          <KnownField
            label={`${name}: name`}
            of="words"
            value={other.name}
            put={text => text && change({ name: text })}
            className="w-32"
          />
          <select
            aria-label={`${name}: side`}
            className="choice-in-words"
            value={other.in}
            onChange={({ target }) => change({ in: target.value as "front" | "back" })}
          >
            <option value="front">front</option>
            <option value="back">back</option>
          </select>
          <label className="flex items-center gap-1 text-sm">
            <input
              type="checkbox"
              className="size-6"
              checked={other.shared ?? true}
              onChange={({ target }) => change({ shared: target.checked })}
            />
            shared
          </label>
          <button
            type="button"
            className="min-h-6 cursor-pointer text-primary text-sm underline"
            onClick={() => put(withOptional(known, "others", rest.length > 0 ? rest : undefined))}
          >
            Remove
          </button>
        </span>
      }
      field={
        <KnownField
          label={name}
          of="signed"
          value={other.amount}
          put={amount => change({ amount: amount ?? "0" })}
        />
      }
      amount=""
    />
  );
}
