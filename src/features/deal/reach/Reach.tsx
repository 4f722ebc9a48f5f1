import { Printer } from "lucide-react";
import { lazy, Suspense, useEffect, useMemo, useState } from "react";
import { askingPayment, currencyDecimals, type Deal, FREQUENCY_NAMES, formatAmount } from "@/core";
import { figureName } from "@/core/map";
import { paymentAt, type Reached, type ReachTerm, reach } from "@/core/reach";
import { amountIn, inNotation } from "@/exchange/notation";
import { houseTerms } from "@/exchange/settings/house-terms";
import { stockApi } from "@/features/api/stock";
import { readPayments, readYearlyRate } from "@/features/typing/read-term";
import { TypedFigure } from "@/features/typing/TypedFigure";
import type { KeptVehicle } from "@/server/contract";
import { BudgetField, useBudget } from "../desk/BudgetField";
import { useDesk } from "../desk/desk-context";
import { budgetEachTime } from "../map/budget";
import { payingInputs } from "../map/paying-inputs";
import { shownQuote } from "../option";
import { useNotation, useOption } from "../option/option-context";
import { usualTerms } from "../options/usual-options";
import { quoted } from "./quoted";
import { StockLine } from "./StockLine";

const PerThousand = lazy(() =>
  import("./PerThousand").then(({ PerThousand: sheet }) => ({ default: sheet })),
);

type Props = {
  /** The terms as they were changed here; null while they are the house's. */
  terms: readonly ReachTerm[] | null;
  onTerms: (terms: readonly ReachTerm[]) => void;
};

/** What a budget can buy, term by term, and which vehicles of the stock fit. */
export function Reach({ terms, onTerms }: Props) {
  const { option } = useOption();
  const { house } = useDesk();
  const quote = shownQuote(option);
  const [isSheet, setSheet] = useState(false);
  // A budget is enough: the terms and their rates are reach's own, the price is what it looks for.
  const deal = useMemo(() => {
    const answered = quote?.filled ?? (option.deal.ok ? option.deal.value : undefined);
    return answered ? askingPayment<Deal>(answered) : null;
  }, [quote, option.deal]);
  const rate = quote ? String(quote.yearlyRate) : String(house.plan.yearlyRate ?? 0);
  const usual = useMemo(() => {
    const ofHouse = houseTerms(house, option.inputs.plan.frequency);
    return ofHouse.length > 0
      ? ofHouse
      : usualTerms(option.inputs).map(payments => ({ payments, yearlyRate: rate }));
  }, [house, option.inputs, rate]);
  const shown = terms ?? usual;
  const isListed = "datedPayments" in option.inputs.plan && option.inputs.plan.datedPayments !== undefined;
  return (
    <section aria-label="Reach" className="card-paper shrink-0 overflow-x-auto pb-2 max-lg:order-[-2]">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-4 py-2 font-serif text-lg">
        With
        <BudgetField label="What the customer can pay a month" hideLabel />a month, this customer reaches
        <button
          type="button"
          aria-expanded={isSheet}
          className="btn btn-ghost btn-sm ml-auto font-sans"
          onClick={() => setSheet(!isSheet)}
        >
          <Printer size={15} aria-hidden="true" />
          Payment per 1,000
        </button>
      </div>
      {isSheet && (
        <Suspense fallback={<p className="px-4 text-faint">Opening …</p>}>
          <PerThousand terms={shown} />
        </Suspense>
      )}
      {!deal || isListed ? (
        <p className="px-4 py-4 text-faint">
          {isListed
            ? "This plan lists its payments one by one; reach needs a plan of regular payments."
            : "What can be reached appears once what is typed can be read."}
        </p>
      ) : (
        <Terms deal={deal} terms={shown} onTerms={onTerms} />
      )}
    </section>
  );
}

function Terms({
  deal,
  terms,
  onTerms,
}: {
  deal: Deal;
  terms: readonly ReachTerm[];
  onTerms: Props["onTerms"];
}) {
  const { option } = useOption();
  const { notation, say } = useNotation();
  const { edit, state } = useDesk();
  const budget = useBudget();
  const stock = useStock();
  const [opened, setOpened] = useState<number | null>(null);
  const { currency, plan } = option.inputs;
  const isPersonal = option.inputs.structure.purpose !== undefined;
  const each = budget === undefined ? 0 : budgetEachTime(budget, plan.frequency);
  const reached = useMemo(() => (each > 0 ? reach(deal, each, terms) : []), [deal, each, terms]);
  const highest = Math.max(1, ...reached.map(row => (row.isReached ? row.price : 0)));
  const money = (minor: number) => amountIn(minor, currency, notation);
  const change = (index: number, term: Partial<ReachTerm>) =>
    onTerms(terms.map((now, k) => (k === index ? { ...now, ...term } : now)));
  const fitting = (row: Reached) =>
    row.isReached && !isPersonal
      ? stock.filter(
          ({ priceMinor, currency: of }) => of === currency && priceMinor !== null && priceMinor <= row.price,
        )
      : [];
  const openRow = opened === null ? undefined : reached[opened];
  return (
    <>
      <table className="w-full text-right">
        <thead>
          <tr className="bg-base-200 text-sm">
            <th scope="col" className="px-4 py-1.5 text-left font-normal text-faint">
              over
            </th>
            <th scope="col" className="px-2 font-normal text-faint">
              at
            </th>
            <th scope="col" className="px-2 font-normal text-faint">
              finances
            </th>
            <th scope="col" className="px-2 text-left font-normal text-faint">
              {isPersonal ? "an amount of" : "a price of"}
            </th>
            <th scope="col" className="px-2 font-normal text-faint">
              {figureName("financeCharge", option.kind)}
            </th>
            {!isPersonal && (
              <th scope="col" className="px-4 font-normal text-faint">
                in stock
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {terms.map((term, index) => {
            const row = reached[index];
            const fits = row ? fitting(row) : [];
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: a term is its place
              <tr key={index} className="stale-while-unread border-base-300 border-t">
                <td className="whitespace-nowrap px-4 py-1 text-left">
                  <TypedFigure
                    label={`Term ${index + 1}: payments`}
                    className="inline-block w-16"
                    shown={String(term.payments)}
                    value={term.payments}
                    notation={notation}
                    read={readPayments}
                    put={payments => change(index, { payments })}
                    isOwnUndo
                  />{" "}
                  payments
                </td>
                <td className="whitespace-nowrap px-2">
                  <TypedFigure
                    label={`Term ${index + 1}: rate`}
                    className="inline-block w-16"
                    shown={inNotation(term.yearlyRate, notation)}
                    value={term.yearlyRate}
                    notation={notation}
                    read={text => readYearlyRate(text, notation)}
                    put={yearlyRate => change(index, { yearlyRate })}
                    isOwnUndo
                  />{" "}
                  %
                </td>
                {row?.isReached ? (
                  <>
                    <td className="px-2">{money(row.financed)}</td>
                    <td className="px-2 text-left">
                      <span className="flex items-center gap-2">
                        <span
                          aria-hidden="true"
                          className="h-3 rounded-selector bg-primary opacity-75"
                          style={{ width: `${(Math.max(0, row.price) / highest) * 9}rem` }}
                        />
                        <strong className="font-semibold font-serif text-lg">{money(row.price)}</strong>
                      </span>
                    </td>
                    <td className="px-2">{money(row.financeCharge)}</td>
                    {!isPersonal && (
                      <td className="px-4">
                        {fits.length === 0 ? (
                          <span className="text-faint">none</span>
                        ) : (
                          <button
                            type="button"
                            className="cursor-pointer font-semibold text-primary"
                            aria-expanded={opened === index}
                            aria-label={`${fits.length} in stock over ${term.payments} payments`}
                            onClick={() => setOpened(opened === index ? null : index)}
                          >
                            {fits.length} {opened === index ? "▾" : "▸"}
                          </button>
                        )}
                      </td>
                    )}
                  </>
                ) : (
                  <td colSpan={4} className="px-2 text-left text-faint text-sm">
                    {row ? say(row.sentence) : "Type what the customer can pay."}
                  </td>
                )}
              </tr>
            );
          })}
        </tbody>
      </table>
      {each > 0 && plan.frequency !== "monthly" && (
        <p className="px-4 pt-1 text-faint text-sm">
          paid {FREQUENCY_NAMES[plan.frequency].every}, at most {money(each)} each time
        </p>
      )}
      {openRow?.isReached && (
        <div className="mt-2 px-4">
          <p className="text-faint text-sm">
            {fitting(openRow).length} in stock at or under {money(openRow.price)} over {openRow.payments}{" "}
            payments
          </p>
          <ul>
            {fitting(openRow)
              .sort((one, other) => (other.priceMinor ?? 0) - (one.priceMinor ?? 0))
              .map(vehicle => (
                <StockLine
                  key={vehicle.id}
                  vehicle={vehicle}
                  payment={paymentAt(deal, openRow, vehicle.priceMinor ?? 0)}
                  money={money}
                  onQuote={() =>
                    edit(
                      quoted(state.open, payingInputs(option), {
                        vehicle,
                        term: openRow,
                        price: formatAmount(vehicle.priceMinor ?? 0, currencyDecimals(currency) ?? 2),
                      }),
                    )
                  }
                />
              ))}
          </ul>
        </div>
      )}
    </>
  );
}

/** The vehicles in stock, once they are there. */
function useStock(): KeptVehicle[] {
  const [vehicles, setVehicles] = useState<KeptVehicle[]>([]);
  useEffect(() => {
    let isWanted = true;
    void stockApi.all().then(answer => {
      if (isWanted && answer.kind === "done") setVehicles(answer.value.vehicles);
    });
    return () => {
      isWanted = false;
    };
  }, []);
  return vehicles;
}
