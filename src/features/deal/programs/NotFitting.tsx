import { amountIn } from "@/exchange/notation";
import type { LeverTold, ProgramTold } from "@/exchange/rates/programs-on-deal";
import { useNotation } from "../option/option-context";
import type { RowsOf } from "./Fitting";
import { ProgramName } from "./ProgramName";

/** Programs that do not fit, or of which that is not known: every reason, and what would make them fit. */
export function NotFitting({ title, rows, ...shared }: RowsOf & { title: string }) {
  return (
    <>
      <h3 className="mt-2 px-4 pt-2 pb-1 font-semibold">{title}</h3>
      <ul>
        {rows.map(row => (
          <li
            key={`${row.lender} ${row.name}`}
            className={`grid gap-x-4 border-base-300 border-t px-4 py-1.5 ${shared.isSide ? "md:grid-cols-[minmax(0,3fr)_minmax(0,4fr)_minmax(21rem,5fr)]" : "md:grid-cols-2"}`}
          >
            <div>
              <ProgramName row={row} />
            </div>
            <Reasons row={row} {...shared} />
            <Levers row={row} {...shared} />
          </li>
        ))}
      </ul>
    </>
  );
}

type OfRow = Omit<RowsOf, "rows"> & { row: ProgramTold };

function Reasons({ row, ...shared }: OfRow) {
  const { say } = useNotation();
  if (row.reasons.length === 0)
    return <p className="text-faint">{row.state === "unknown" ? "cannot be told" : "does not fit"}</p>;
  return (
    <ul className="text-faint">
      {row.reasons.map(({ words, lever }) => (
        <li key={words}>
          {say(words)}
          {lever && <Lever lever={lever} row={row} before="met with" {...shared} />}
        </li>
      ))}
    </ul>
  );
}

function Levers({ row, ...shared }: OfRow) {
  if (row.levers.length === 0) return null;
  return (
    <ul>
      {row.levers.map((lever, index) => (
        <li key={lever.words}>
          <Lever lever={lever} row={row} before={index === 0 ? "fits with" : "or with"} {...shared} />
        </li>
      ))}
    </ul>
  );
}

/** Something that makes a program fit: one press makes the option, or changes the open one. */
function Lever({
  lever,
  row: { lender, name },
  currency,
  take,
  room,
  before,
}: OfRow & {
  lever: LeverTold;
  /** What is said before it. */
  before: string;
}) {
  const { notation, say } = useNotation();
  const { words, moved, usual, payment } = lever;
  const toTake = { lender, program: name, moved };
  const press = (text: string, to: typeof toTake) => (
    <button
      type="button"
      className="cursor-pointer rounded-field px-1 py-0.5 font-semibold text-warning underline decoration-dotted underline-offset-4 hover:bg-base-200"
      disabled={room === 0}
      title="Makes an option of it"
      onClick={() => void take(to, true)}
    >
      {text}
    </button>
  );
  return (
    <span className="flex flex-wrap items-baseline gap-x-1">
      <span className="text-faint">{before}</span>
      {press(say(words), toTake)}
      {usual !== null && (
        <>
          <span className="text-faint">or the usual</span>
          {press(String(usual), { ...toTake, moved: { by: "payments", payments: usual } })}
        </>
      )}
      <span className="grow" />
      {payment !== null && <span className="tabular-nums">{amountIn(payment, currency, notation)}</span>}
      <button
        type="button"
        className="btn btn-ghost btn-xs"
        title={`Takes it, with ${say(words)}, into the option that is open`}
        onClick={() => void take(toTake, false)}
      >
        Use here
        <span className="sr-only">
          : {name}, {say(words)}
        </span>
      </button>
    </span>
  );
}
