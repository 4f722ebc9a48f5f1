import { lazy, Suspense, useState } from "react";
import { NO_RATES } from "@/core/moves";
import { type DealFile, isLease } from "@/exchange/deal-file";
import { plainFigure } from "@/exchange/notation";
import { houseRates } from "@/exchange/settings/house-terms";
import { useDesk } from "../desk/desk-context";
import { openedOption } from "../desk/desk-state";
import { askedOf } from "../kinds/asked";
import { turnedInto } from "../option";
import type { Usual } from "../option/asked-kind";
import { useNotation } from "../option/option-context";
import { whenWhole } from "../option/use-kinds";
import { Check } from "../parts/choices";
import { listOf } from "./list-of";
import { roomFor } from "./option-changes";
import { Small, UsualRow } from "./UsualRow";
import { useOptionActions } from "./use-options";
import { overTerms, usualTerms, withPercentsDown, withResidual } from "./usual-options";

// It compares in full, and few ask for it.
const RebateOrRate = lazy(() => import("./RebateOrRate").then(({ RebateOrRate: row }) => ({ default: row })));

/** The options that are usually shown beside the open one, each set made in one step. */
export function MoreOptions({ onDone }: { onDone: () => void }) {
  const { state } = useDesk();
  const { duplicate, addAfter } = useOptionActions();
  const { open, options } = state;
  const { inputs } = openedOption(state);
  const room = roomFor({ options });
  const add = (made: readonly DealFile[]) => {
    addAfter(open, made);
    onDone();
  };
  return (
    <section data-own-undo="" aria-labelledby="more-options-title" className="card-paper px-4 py-2.5">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h2 id="more-options-title" className="font-semibold text-lg">
          Options beside this one
        </h2>
        <p className="text-faint text-sm">
          {room === 0 ? "A deal holds eight options; delete one to make room." : `room for ${room} more`}
        </p>
      </div>
      <div className="mt-1 divide-y divide-base-300">
        <UsualRow
          made={{ ok: true, options: [inputs] }}
          room={room}
          onAdd={() => {
            duplicate(open);
            onDone();
          }}
        >
          One like it, to change
        </UsualRow>
        <Terms inputs={inputs} room={room} onAdd={add} />
        <Balloon inputs={inputs} room={room} onAdd={add} />
        <Down inputs={inputs} room={room} onAdd={add} />
        <LoanAndLease room={room} onAdd={add} />
        <Suspense fallback={<p className="py-1.5 text-faint">Opening …</p>}>
          <RebateOrRate inputs={inputs} room={room} onAdd={add} />
        </Suspense>
      </div>
    </section>
  );
}

export type RowProps = { inputs: DealFile; room: number; onAdd: (made: readonly DealFile[]) => void };

function Terms({ inputs, room, onAdd }: RowProps) {
  const { house } = useDesk();
  const rates = houseRates(house, inputs.plan.frequency);
  const [text, setText] = useState(() =>
    (rates.size > 0 ? [...rates.keys()] : usualTerms(inputs)).join(", "),
  );
  const [isHouse, setHouse] = useState(true);
  const { notation, say } = useNotation();
  const terms = listOf(text, notation).map(Number);
  const wrong = terms.find(term => !Number.isInteger(term) || term < 1 || term > 1200);
  const made: Usual =
    terms.length === 0 || wrong !== undefined
      ? { ok: false, sentence: "Type numbers of payments, from 1 to 1,200, with commas between them." }
      : overTerms(inputs, terms, isHouse && inputs.find !== "yearlyRate" ? rates : NO_RATES);
  const ofHouse = terms.flatMap(term => (rates.has(term) ? [`${term} at ${rates.get(term)} %`] : []));
  return (
    <UsualRow made={made} room={room} onAdd={onAdd}>
      The same over
      <Small label="Numbers of payments" value={text} onChange={setText} className="w-36" />
      payments
      {ofHouse.length > 0 && (
        <Check
          label={`at the house’s rates: ${say(ofHouse.join(", "))}`}
          checked={isHouse}
          onChange={setHouse}
        />
      )}
    </UsualRow>
  );
}

function Balloon({ inputs, room, onAdd }: RowProps) {
  const [text, setText] = useState("30");
  const percent = usePercent(text);
  const hasOne = "balloon" in inputs.plan && inputs.plan.balloon !== undefined;
  const made: Usual = percent.ok ? askedOf(inputs).withOrWithoutBalloon(inputs, percent.text) : percent;
  return (
    <UsualRow made={made} room={room} onAdd={onAdd}>
      {hasOne ? (
        "The same without its balloon"
      ) : (
        <>
          The same with a balloon of
          <Small label="Balloon in percent of the price" value={text} onChange={setText} className="w-16" />%
          of the price
        </>
      )}
    </UsualRow>
  );
}

function Down({ inputs, room, onAdd }: RowProps) {
  const [text, setText] = useState("10, 20, 30");
  const { notation } = useNotation();
  const percents = listOf(text, notation).map(each => plainFigure(each, notation));
  const isWrong = percents.length === 0 || percents.some(each => !isPercent(each));
  const made: Usual = isWrong
    ? { ok: false, sentence: "Type percents from 0 to 100, with commas between them." }
    : withPercentsDown(inputs, percents);
  return (
    <UsualRow made={made} room={room} onAdd={onAdd}>
      <Small label="Percents down" value={text} onChange={setText} className="w-28" />% of the price down
    </UsualRow>
  );
}

function LoanAndLease({ room, onAdd }: Omit<RowProps, "inputs">) {
  const { state } = useDesk();
  const option = openedOption(state);
  const [text, setText] = useState("50");
  const percent = usePercent(text);
  const isLoan = option.kind === "loan";
  const isPersonal = option.inputs.structure.purpose !== undefined;
  const made: Usual = isPersonal
    ? { ok: false, sentence: "A personal loan has nothing that could be leased." }
    : percent.ok
      ? { ok: true, options: [option.inputs] }
      : percent;
  const turn = () =>
    whenWhole(["loan", "lease"], ({ loan, lease }) => {
      const to = isLoan ? lease : loan;
      if (!percent.ok || !to) return;
      const turned = turnedInto(option, to);
      onAdd([isLease(turned) ? withResidual(turned, percent.text) : turned]);
    });
  return (
    <UsualRow made={made} room={room} onAdd={turn}>
      {isLoan ? "The same as a lease" : "The same as a loan"}
      {isLoan && !option.inputs.kept && !option.inputs.plan.balloon && (
        <>
          , with a residual of
          <Small label="Residual in percent of the price" value={text} onChange={setText} className="w-16" />%
          of the price
        </>
      )}
    </UsualRow>
  );
}

function usePercent(text: string): { ok: true; text: string } | { ok: false; sentence: string } {
  const { notation } = useNotation();
  const plain = plainFigure(text.trim(), notation);
  return isPercent(plain)
    ? { ok: true, text: plain }
    : { ok: false, sentence: `“${text}” is not a percent from 0 to 100.` };
}

const isPercent = (text: string) => /^\d{1,3}(\.\d{1,4})?$/.test(text) && Number(text) <= 100;
