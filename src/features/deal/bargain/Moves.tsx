import { useEffect, useImperativeHandle, useMemo, useState } from "react";
import { askingPayment, type Deal, periodsPerYear, type Quote } from "@/core";
import { figureName } from "@/core/map";
import { isMoving, isSensible, type Move, type MoveValue, usualTerms, type Wanted } from "@/core/moves";
import { houseRates } from "@/exchange/settings/house-terms";
import { startMoves } from "@/workers/moves-client";
import { useDesk } from "../desk/desk-context";
import type { MovesProps } from "../desk/moves-props";
import { askedOf } from "../kinds/asked";
import { payingInputs } from "../map/paying-inputs";
import { shownQuote } from "../option";
import { useNotation, useOption } from "../option/option-context";
import { withInputsOf } from "../options/option-changes";
import { useOptionActions } from "../options/use-options";
import { useThread } from "../parts/use-thread";
import { inputsMoved } from "./inputs-moved";
import { MoveRow, type Taking } from "./MoveRow";
import { moveName, moveWriter } from "./move-words";
import { OverTerms } from "./OverTerms";
import { readWish } from "./wish";

type Found = Move & { to: MoveValue };

const isFound = (move: Move): move is Extract<Move, Found> => "to" in move;

const rowId = (move: Move) => `move-${move.figure}-${move.index ?? 0}`;

/** What would have to move for the customer to have what is wanted, or why that cannot be read. */
export function Moves({ ref, figure, text, onWrong, onTaken }: MovesProps) {
  const { option } = useOption();
  const wish = readWish(option, figure, text);
  const isWrong = wish !== null && "sentence" in wish;
  useEffect(() => onWrong(isWrong), [isWrong, onWrong]);
  if (wish === null) return null;
  if ("sentence" in wish)
    return (
      <p id="wish-error" className="basis-full text-error text-sm">
        <Sentence text={wish.sentence} />
      </p>
    );
  return shownQuote(option) && <Candidates ref={ref} wanted={wish.wanted} onTaken={onTaken} />;
}

type CandidatesProps = Pick<MovesProps, "ref" | "onTaken"> & { wanted: Wanted };

/** Each figure that could give way, and how far. */
function Candidates({ ref, wanted, onTaken }: CandidatesProps) {
  const { option } = useOption();
  const { notation } = useNotation();
  const quote = shownQuote(option) as Quote;
  const { state, edit, house } = useDesk();
  const { frequency } = option.inputs.plan;
  const rates = useMemo(() => houseRates(house, frequency), [house, frequency]);
  const [isOverTerms, setOverTerms] = useState(false);
  const { figure, value } = wanted;
  const question = useMemo(() => {
    const deal = askingPayment<Deal>(quote.filled);
    return {
      deal,
      wanted: { figure, value },
      rates,
      ...(isOverTerms && { terms: termsAround(quote) }),
    };
  }, [quote, figure, value, isOverTerms, rates]);
  const made = useThread(startMoves, question, 0);
  const [chosen, setChosen] = useState<number | null>(null);
  const { addAfter } = useOptionActions();
  const write = useMemo(
    () => moveWriter(option.inputs.currency, notation),
    [option.inputs.currency, notation],
  );
  const moves = made?.answer.moves ?? [];
  const now = nowOf(quote);
  const moving = moves.filter(isFound).filter(isMoving);
  const sensible = moving.filter(move => isSensible(move, now));
  // What nobody would agree to comes last, and only who goes there takes it.
  const found = [...sensible, ...moving.filter(move => !isSensible(move, now))];
  const without = moves.filter(move => !isFound(move));
  const at = chosen === null ? (sensible.length > 0 ? 0 : -1) : Math.min(chosen, found.length - 1);
  const current = found[at];
  const take: Taking = ({ steps, asOption }) => {
    const inputs = steps.reduce(
      (before, { move, to }) => inputsMoved(before, move, to),
      payingInputs(option),
    );
    if (asOption) addAfter(state.open, [inputs]);
    else edit(withInputsOf(state.open, inputs));
    onTaken();
  };
  useImperativeHandle(ref, () => ({
    choose: by => setChosen((Math.max(at, by < 0 ? 0 : -1) + by + found.length) % Math.max(found.length, 1)),
    take: asOption => {
      // What stands there is of an older wish until the newest has its answer.
      if (current && made?.question === question)
        take({ steps: [{ move: current, to: current.to }], asOption });
    },
  }));
  const { canBeOverTerms, plannedPayments } = askedOf(quote.filled);
  const isOverTermsToo = figure !== "endDate" && canBeOverTerms(quote);
  const rows = { wanted, now: quote, write, onTake: take };
  return (
    <section aria-label="What would have to move" className="basis-full overflow-x-auto">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="border-primary border-b-2 px-2 py-1 font-sans font-semibold text-base text-primary">
          What would have to move
        </h2>
        <p className="text-faint text-sm">↑ ↓ choose · Enter takes it · Shift Enter as a new option</p>
      </div>
      {made && (
        <>
          <p role="status" className="sr-only">
            {current &&
              `${moveName(current, option.inputs)}: ${write.value(current.figure, current.to)}. Enter takes it.`}
          </p>
          <table aria-label="What would have to move" className="w-full text-right">
            <thead className="bg-base-200 text-sm">
              <tr>
                <th className="px-2 py-1 text-left">Move the</th>
                <th className="px-2 py-1">from</th>
                <th className="px-2 py-1">to</th>
                <th className="px-2 py-1">by</th>
                <th className="px-2 py-1">{figureName("financeCharge", option.kind)}</th>
                <th className="px-2 py-1">total cost</th>
                <td className="px-2 py-1" />
              </tr>
            </thead>
            <tbody>
              {found.map((move, index) => (
                <MoveRow
                  key={rowId(move)}
                  {...rows}
                  isBeyond={index >= sensible.length}
                  move={move}
                  name={moveName(move, option.inputs)}
                  isChosen={index === at}
                  onChoose={() => setChosen(index)}
                />
              ))}
              {without.map(move => (
                <tr key={rowId(move)} className="border-base-300 border-b text-faint text-sm">
                  <td className="px-2 py-1 text-left">{moveName(move, option.inputs)}</td>
                  <td className="px-2 py-1 whitespace-nowrap">{write.value(move.figure, move.from)}</td>
                  <td colSpan={5} className="px-2 py-1 text-left leading-tight">
                    <Sentence text={"sentence" in move ? move.sentence : ""} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {isOverTermsToo && (
            <OverTerms
              {...rows}
              isOpen={isOverTerms}
              onOpen={setOverTerms}
              overTerms={made.answer.overTerms}
              payments={plannedPayments(quote)}
            />
          )}
          <p className="mt-1 text-faint text-sm">
            {figure === "endDate"
              ? "Each answer is the last that ends by that date."
              : `Each answer is the last on the customer's side of ${write.wanted(made.question.wanted)}; all other figures stay.`}
          </p>
        </>
      )}
    </section>
  );
}

/** What of a deal says which candidates are sensible. */
const nowOf = (quote: Quote) => ({
  price: quote.price,
  payment: quote.payment,
  payments: askedOf(quote.filled).plannedPayments(quote),
  perYear: periodsPerYear(quote.filled.plan.frequency),
});

function Sentence({ text }: { text: string }) {
  const { say } = useNotation();
  return say(text);
}

const MOST_TERMS = 6;

/** Usual numbers of payments around a loan's own, which is not among them. */
function termsAround(quote: Quote): number[] {
  const now = askedOf(quote.filled).plannedPayments(quote);
  return usualTerms(quote.filled.plan.frequency)
    .filter(term => term !== now)
    .toSorted((a, b) => Math.abs(a - now) - Math.abs(b - now))
    .slice(0, MOST_TERMS)
    .sort((a, b) => a - b);
}
