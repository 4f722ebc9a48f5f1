import type { Quote } from "@/core";
import type { Move, MoveFigure, MoveValue, Standing, UsualTerm, Wanted } from "@/core/moves";
import { askedOf } from "../kinds/asked";
import type { MoveWriter } from "./move-words";

/** Takes some figures with what they are to be, into the deal or as an option more. */
export type Taking = (taken: {
  steps: readonly { move: Pick<Move, "figure" | "index">; to: MoveValue }[];
  asOption: boolean;
}) => void;

/** What all rows are told with. */
export type RowsOf = {
  wanted: Wanted;
  /** The deal as it is. */
  now: Quote;
  write: MoveWriter;
  onTake: Taking;
};

type Props = RowsOf & {
  move: Extract<Move, { to: MoveValue }>;
  name: string;
  isChosen: boolean;
  /** Whether it is beyond what would be agreed. */
  isBeyond: boolean;
  onChoose: () => void;
};

/** One figure that could give way: what it would be, by how much it moves, and what the deal then costs. */
export function MoveRow(props: Props) {
  const { move, name, isChosen, isBeyond, onChoose, wanted, now, write, onTake } = props;
  const rateFigure = rateFigureOf(now);
  const { figure, from, to, after, usual } = move;
  const take = (is: MoveValue, asOption: boolean) => onTake({ steps: [{ move, to: is }], asOption });
  const beside = wanted.figure === "payment" && after.payment !== wanted.value;
  return (
    <>
      <tr
        aria-current={isChosen}
        className={`border-base-300 border-b ${isChosen ? "bg-primary/10" : ""}`}
        onPointerDown={onChoose}
      >
        <td className="px-2 py-1 text-left leading-tight">
          {name}
          {isBeyond && <span className="block text-faint text-sm">beyond what is usual</span>}
          {beside && <span className="block text-faint text-sm">payment {write.money(after.payment)}</span>}
        </td>
        <td className="px-2 py-1 whitespace-nowrap">{write.value(figure, from)}</td>
        <td className="whitespace-nowrap px-2 py-1 font-semibold font-serif text-accent-content text-lg">
          {write.value(figure, to)}
        </td>
        <td className="whitespace-nowrap px-2 py-1">{write.by(figure, from, to)}</td>
        <Costs after={after} write={write} />
        <TakeIt name={name} isChosen={isChosen} onTake={asOption => take(to, asOption)} />
      </tr>
      {usual?.map(term => {
        const at = term.rate === undefined ? "" : ` at ${write.value(rateFigure, term.rate)}`;
        return (
          <tr key={term.rate ?? ""} className="border-base-300 border-b text-sm">
            <td className="py-1 pr-2 pl-6 text-left text-faint" colSpan={2}>
              next usual term{at && `${at}, the house’s rate for it`}
              <span className="block">payment {write.money(term.after.payment)}</span>
            </td>
            <td className="whitespace-nowrap px-2 py-1 font-semibold text-accent-content">
              {write.value(figure, term.to)}
            </td>
            <td className="px-2 py-1">{write.by(figure, from, term.to)}</td>
            <Costs after={term.after} write={write} />
            <TakeIt
              name={`${name} ${term.to}${at}`}
              isChosen={false}
              onTake={asOption => onTake({ steps: stepsOf(move, term, rateFigure), asOption })}
            />
          </tr>
        );
      })}
    </>
  );
}

/** A usual term, with the rate that it comes at. */
const stepsOf = (move: Pick<Move, "figure" | "index">, { to, rate }: UsualTerm, rateFigure: MoveFigure) => [
  { move, to },
  ...(rate === undefined ? [] : [{ move: { figure: rateFigure }, to: rate }]),
];

/** What a lease by money factor has in place of a rate. */
const rateFigureOf = ({ filled }: Quote): MoveFigure => askedOf(filled).rateFigure(filled.plan);

/** What the deal then costs to finance, and in all. */
export function Costs({ after, write }: { after: Standing } & Pick<RowsOf, "write">) {
  return (
    <>
      <td className="whitespace-nowrap px-2 py-1">{write.money(after.financeCharge)}</td>
      <td className="whitespace-nowrap px-2 py-1">{write.money(after.totalCost)}</td>
    </>
  );
}

type TakeProps = { name: string; isChosen: boolean; onTake: (asOption: boolean) => void };

/** Takes a candidate; with Shift as an option more. */
export function TakeIt({ name, isChosen, onTake }: TakeProps) {
  return (
    <td className="px-2 py-1">
      <button
        type="button"
        aria-label={`Take it: ${name}`}
        title="Shift: as a new option"
        className={`btn btn-sm whitespace-nowrap ${isChosen ? "btn-primary" : ""}`}
        onClick={event => onTake(event.shiftKey)}
      >
        Take it
      </button>
    </td>
  );
}
