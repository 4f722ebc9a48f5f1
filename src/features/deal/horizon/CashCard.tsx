import type { CashPrice } from "@/core/horizon";
import type { KeepForFile } from "@/exchange/keep-for/keep-for.schema";
import { withOptional } from "@/exchange/members";
import { amountIn } from "@/exchange/notation";
import { useDesk } from "../desk/desk-context";
import { useNotation } from "../option/option-context";
import { WordSelect } from "../parts/WordSelect";
import { AmountField } from "../repayment/AmountField";
import { CardSection } from "../repayment/CardSection";
import type { Horizon } from "./use-horizon";

type Line = keyof NonNullable<KeepForFile["cash"]>;

const LINES: readonly (readonly [Line, string])[] = [
  ["price", "Price"],
  ["charges", "Fees and extras, without the credit’s"],
  ["taxes", "Taxes"],
  ["rebates", "Less rebates"],
];

/** Whose taxes those of a purchase in cash are. */
const TAXES_FROM: Record<CashPrice["taxesFrom"], string> = {
  option: "as in the chosen option",
  loan: "as in the deal’s first loan",
  house: "the house’s usual ones",
  none: "none are known: type them",
};

type Props = { horizon: Horizon; told: NonNullable<Horizon["told"]> };

/** What paying in cash takes at signing: each line follows from the deal, and can be typed. */
export function CashCard({ horizon, told }: Props) {
  const { notation } = useNotation();
  const { state } = useDesk();
  const { file, change, currency } = horizon;
  const { cash } = told.kept;
  const money = (minor: number) => amountIn(minor, currency, notation);
  const { cashRebate } = file;
  return (
    <CardSection title="Paid in cash">
      <dl className="grid grid-cols-[1fr_auto] items-center gap-x-3 gap-y-1">
        {LINES.map(([line, label]) => (
          <CashLine
            key={line}
            label={label}
            beside={line === "taxes" && file.cash?.taxes === undefined ? TAXES_FROM[cash.taxesFrom] : ""}
            amount={file.cash?.[line]}
            follows={money(cash[line])}
            currency={currency}
            put={amount =>
              change(now => {
                const lines = withOptional(now.cash ?? {}, line, amount);
                return withOptional(now, "cash", Object.keys(lines).length > 0 ? lines : undefined);
              }, `cash ${line}`)
            }
          />
        ))}
        <CashLine
          label="Less a rebate for cash alone"
          beside={
            cashRebate && (
              <WordSelect
                label="Whose rebate for cash"
                value={cashRebate.from}
                choices={[
                  ["seller", "the seller’s"],
                  ["maker", "the maker’s"],
                ]}
                onChange={from => change(now => ({ ...now, cashRebate: { ...cashRebate, from } }))}
              />
            )
          }
          amount={cashRebate?.amount}
          follows="–"
          currency={currency}
          put={amount =>
            change(
              now =>
                withOptional(
                  now,
                  "cashRebate",
                  amount === undefined ? undefined : { from: "seller", ...now.cashRebate, amount },
                ),
              "cash rebate",
            )
          }
        />
        <dt className="font-semibold">At signing</dt>
        <dd className="px-2 text-right font-semibold text-lg">{money(cash.total)}</dd>
      </dl>
      {cashRebate?.from === "seller" && cash.cashRebate > 0 && (
        <p className="mt-1 text-sm text-warning">
          {state.heading.place === "US" || state.heading.place === undefined
            ? `What a seller takes off for cash alone is a finance charge of the other ways (12 CFR 1026.4(b)(9)): ${money(cash.cashRebate)} belong in theirs.`
            : `What a seller takes off for cash alone can count as a cost of the other ways: ${money(cash.cashRebate)}.`}
        </p>
      )}
      <p className="mt-1 text-faint text-sm">A trade-in counts as money given, as it does in every way.</p>
    </CardSection>
  );
}

type LineProps = {
  label: string;
  beside: React.ReactNode;
  amount: string | number | undefined;
  /** What it is where nothing is typed. */
  follows: string;
  currency: string;
  put: (amount: string | undefined) => void;
};

function CashLine({ label, beside, amount, follows, currency, put }: LineProps) {
  const { notation } = useNotation();
  return (
    <>
      <dt>
        {label} {beside && <span className="text-faint text-sm">{beside}</span>}
      </dt>
      <dd>
        <AmountField
          label={`In cash: ${label}`}
          amount={amount}
          currency={currency}
          notation={notation}
          placeholder={follows}
          put={put}
        />
      </dd>
    </>
  );
}
