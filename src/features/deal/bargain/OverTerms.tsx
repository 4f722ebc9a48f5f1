import type { CashOver } from "@/core/moves";
import { Costs, type RowsOf, TakeIt } from "./MoveRow";

type Props = RowsOf & {
  isOpen: boolean;
  onOpen: (isOpen: boolean) => void;
  overTerms: readonly CashOver[];
  payments: number;
};

/** Two figures at once: other numbers of payments, with the rest as cash. */
export function OverTerms({ isOpen, onOpen, overTerms, payments, write, onTake }: Props) {
  return (
    <div>
      <button
        type="button"
        aria-expanded={isOpen}
        className="cursor-pointer px-2 py-1 font-semibold text-primary text-sm"
        onClick={() => onOpen(!isOpen)}
      >
        {isOpen ? "Only one figure at a time" : "Two at once: another number of payments, the rest as cash"}
      </button>
      {isOpen && overTerms.length > 0 && (
        <table aria-label="Number of payments, with the rest as cash" className="w-full text-right">
          <thead className="bg-base-200 text-sm">
            <tr>
              <th className="px-2 py-1 text-left">Payments</th>
              <th className="px-2 py-1">by</th>
              <th className="px-2 py-1">cash down</th>
              <th className="px-2 py-1">by</th>
              <th className="px-2 py-1">finance charge</th>
              <th className="px-2 py-1">total cost</th>
              <td className="px-2 py-1" />
            </tr>
          </thead>
          <tbody>
            {overTerms.map(({ payments: to, rate, move }) =>
              "to" in move ? (
                <tr key={to} className="border-base-300 border-b">
                  <td className="px-2 py-1 text-left font-semibold font-serif text-accent-content text-lg">
                    {to}
                    {rate !== undefined && (
                      <span className="font-normal font-sans text-faint text-sm">
                        {" "}
                        at {write.value("yearlyRate", rate)}, the house’s rate
                      </span>
                    )}
                  </td>
                  <td className="px-2 py-1">{write.by("payments", payments, to)}</td>
                  <td className="px-2 py-1 font-semibold font-serif text-accent-content text-lg">
                    {write.value("down", move.to)}
                  </td>
                  <td className="px-2 py-1">{write.by("down", move.from, move.to)}</td>
                  <Costs after={move.after} write={write} />
                  <TakeIt
                    name={`${to} payments and cash down`}
                    isChosen={false}
                    onTake={asOption =>
                      onTake({
                        steps: [
                          { move: { figure: "payments" }, to },
                          ...(rate === undefined
                            ? []
                            : [{ move: { figure: "yearlyRate" as const }, to: rate }]),
                          { move, to: move.to },
                        ],
                        asOption,
                      })
                    }
                  />
                </tr>
              ) : null,
            )}
          </tbody>
        </table>
      )}
    </div>
  );
}
