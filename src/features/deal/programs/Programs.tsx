import { type ReactNode, useState } from "react";
import type { Rank } from "@/core/programs";
import { decimalIn } from "@/exchange/notation";
import { putCustomerSlot } from "@/features/dealer-side/customer-slot";
import { useSide } from "@/features/dealer-side/side-state";
import { readYearlyRate } from "@/features/typing/read-term";
import { TypedFigure } from "@/features/typing/TypedFigure";
import type { ProgramsReply } from "@/server/contract";
import { useDesk } from "../desk/desk-context";
import { useRested } from "../desk/use-rested";
import { useNotation, useOption } from "../option/option-context";
import { Fitting } from "./Fitting";
import { NotFitting } from "./NotFitting";
import { TakenFrom } from "./TakenFrom";
import { usePrograms } from "./use-programs";
import { useTake } from "./use-take";

const RANK_NAMES: Record<Rank, string> = {
  payment: "what the customer pays",
  totalCost: "what it costs in all",
  income: "what it earns",
};

/** Which lenders' programs fit the open option, why the others do not, and what would make them. */
export function Programs({ dealId }: { dealId: string }) {
  const { state } = useDesk();
  const { option } = useOption();
  const isSide = useSide();
  const [rank, setRank] = useState<Rank>("payment");
  const [spread, setSpread] = useState<string>();
  const inputs = useRested(option.inputs, option.edit !== null);
  const { reply, isOld, trouble, isUnanswered, more } = usePrograms(dealId, state.open, inputs, {
    rank,
    spread,
  });
  const { take, room } = useTake(dealId, spread);
  const told = reply ? reply.fits + reply.unknown + reply.unfit : 0;
  return (
    <section aria-label="Programs" className="card-paper shrink-0 pb-2 max-lg:order-[-2] print:hidden">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 py-2">
        <h2 className="font-serif text-xl" aria-live="polite">
          {reply
            ? `${reply.fits} of ${told} ${told === 1 ? "program" : "programs"} ${reply.fits === 1 ? "fits" : "fit"}`
            : "Programs"}
        </h2>
        <span className="grow" />
        <RankField rank={rank} put={setRank} isSide={isSide} />
        {isSide && reply && <SpreadField spread={spread ?? reply.spread ?? "0"} put={setSpread} />}
      </div>
      {isSide && <div ref={putCustomerSlot} className="px-4 pb-2 empty:hidden" />}
      {isUnanswered && (
        <p className="px-4 py-2 text-faint">Which programs fit is told once the option has an answer.</p>
      )}
      {trouble && !isUnanswered && (
        <p role="alert" className="px-4 py-1 text-error">
          {trouble}
        </p>
      )}
      {!reply && !trouble && <p className="px-4 py-2 text-faint">Looking …</p>}
      {reply && (
        <div className={isOld ? "opacity-60" : ""}>
          {reply.taken && <TakenFrom taken={reply.taken} />}
          {told === 0 && (
            <p className="px-4 py-3">
              No lender’s programs are here yet: bring them in on the page <a href="/rates">Rates</a>.
            </p>
          )}
          <Rows reply={reply} isSide={isSide} take={take} room={room} more={more} />
        </div>
      )}
    </section>
  );
}

type RankFieldProps = { rank: Rank; put: (rank: Rank) => void; isSide: boolean };

/** What those that fit are ranked by; what they earn while the dealer's side is open. */
function RankField({ rank, put, isSide }: RankFieldProps) {
  const ranks = (Object.keys(RANK_NAMES) as Rank[]).filter(each => isSide || each !== "income");
  return (
    <label className="flex items-center gap-2 text-sm">
      <span className="text-faint">ranked by</span>
      <select
        className="field w-auto"
        value={ranks.includes(rank) ? rank : "payment"}
        onChange={({ target }) => put(target.value as Rank)}
      >
        {ranks.map(each => (
          <option key={each} value={each}>
            {RANK_NAMES[each]}
          </option>
        ))}
      </select>
    </label>
  );
}

function SpreadField({ spread, put }: { spread: string; put: (spread: string) => void }) {
  const { notation } = useNotation();
  return (
    <span className="flex items-center gap-2 text-sm">
      <span className="text-faint">spread</span>
      <TypedFigure
        label="Spread in points of rate"
        className="w-20"
        shown={decimalIn(spread, notation)}
        value={spread}
        notation={notation}
        read={text => readYearlyRate(text, notation)}
        put={put}
        isOwnUndo
      />
      <span className="text-faint">points</span>
    </span>
  );
}

type RowsProps = {
  reply: ProgramsReply;
  isSide: boolean;
  more: () => void;
} & ReturnType<typeof useTake>;

function Rows({ reply, isSide, take, room, more }: RowsProps): ReactNode {
  const { rows, unknown, unfit, fits, currency } = reply;
  const of = (state: string) => rows.filter(row => row.state === state);
  const left = fits + unknown + unfit - rows.length;
  const shared = { currency, isSide, take, room };
  return (
    <>
      {fits > 0 && <Fitting rows={of("fits")} {...shared} />}
      {unknown > 0 && (
        <NotFitting
          title={isSide ? `${unknown} cannot be told yet` : `${unknown} cannot be told`}
          rows={of("unknown")}
          {...shared}
        />
      )}
      {unfit > 0 && (
        <NotFitting
          title={`${unfit} ${unfit === 1 ? "does" : "do"} not fit yet`}
          rows={of("unfit")}
          {...shared}
        />
      )}
      {left > 0 && (
        <button type="button" className="btn btn-ghost btn-sm mx-3" onClick={more}>
          and {left} more
        </button>
      )}
    </>
  );
}
