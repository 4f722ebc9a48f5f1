import type { LeaseQuote, Quote } from "@/core";
import type { Move, MoveValue, Standing, Wanted } from "@/core/moves";
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
  now: Quote | LeaseQuote;
  write: MoveWriter;
  onTake: Taking;
};

type Props = RowsOf & {
  move: Extract<Move, { to: MoveValue }>;
  name: string;
  isChosen: boolean;
  onChoose: () => void;
};

/** One figure that could give way: what it would be, by how much it moves, and what the deal then costs. */
export function MoveRow({ move, name, isChosen, onChoose, wanted, now, write, onTake }: Props) {
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
          {beside && <span className="block text-faint text-sm">payment {write.money(after.payment)}</span>}
        </td>
        <td className="px-2 py-1 whitespace-nowrap">{write.value(figure, from)}</td>
        <td className="whitespace-nowrap px-2 py-1 font-semibold font-serif text-accent-content text-lg">
          {write.value(figure, to)}
        </td>
        <td className="whitespace-nowrap px-2 py-1">{write.by(figure, from, to)}</td>
        <Costs after={after} now={now} write={write} />
        <TakeIt name={name} isChosen={isChosen} onTake={asOption => take(to, asOption)} />
      </tr>
      {usual && (
        <tr className="border-base-300 border-b text-sm">
          <td className="py-1 pr-2 pl-6 text-left leading-tight">
            next usual term
            <span className="block text-faint">payment {write.money(usual.after.payment)}</span>
          </td>
          <td className="px-2 py-1" />
          <td className="px-2 py-1 font-semibold font-serif text-accent-content text-base">
            {write.value(figure, usual.to)}
          </td>
          <td className="px-2 py-1">{write.by(figure, from, usual.to)}</td>
          <Costs after={usual.after} now={now} write={write} />
          <TakeIt
            name={`${name} ${usual.to}`}
            isChosen={false}
            onTake={asOption => take(usual.to, asOption)}
          />
        </tr>
      )}
    </>
  );
}

/** What the deal then costs to finance, and how much more or less in all. */
export function Costs({ after, now, write }: { after: Standing } & Pick<RowsOf, "now" | "write">) {
  const total = now.kind === "lease" ? now.totalIfReturned : now.totalCost;
  const by = after.totalCost - total;
  return (
    <>
      <td className="whitespace-nowrap px-2 py-1">{write.money(after.financeCharge)}</td>
      <td className="whitespace-nowrap px-2 py-1" title={write.money(after.totalCost)}>
        {by === 0 ? "the same" : write.difference(by)}
      </td>
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
