import { Fragment, useState } from "react";
import { parseIsoDate } from "@/core";
import type { ProgramFile } from "@/exchange/dealer/program.schema";
import { inNotation, type Notation } from "@/exchange/notation";
import { PROGRAM_KINDS } from "@/exchange/rates/program-kinds";
import { programLines, validText } from "@/exchange/rates/program-words";
import type { Lender } from "@/exchange/rates/rates.schema";
import { ratesApi } from "@/features/api/rates";
import { reasonOf } from "@/features/api/reason-of";
import { todaysDay } from "@/features/figures/today";
import { notify } from "@/features/notices/notify";
import type { RatesReply } from "@/server/contract";

type Shown = RatesReply["lenders"][number];

type Props = {
  lender: Shown | Lender;
  /** Whether rates and limits are there. */
  isWhole: boolean;
  notation: Notation;
  /** Of the rates in view. */
  mark: string;
  locale: string;
  onChanged: () => void;
};

/** A lender with its programs; each opens to all that it says. */
export function LenderCard({ lender, isWhole, notation, mark, locale, onChanged }: Props) {
  const [opened, setOpened] = useState<string | null>(null);
  const remove = async (program?: string) => {
    const answer = await ratesApi.remove(mark, lender.name, program);
    if (answer.kind !== "done") return notify.error(`It was not taken out. ${reasonOf(answer)}`);
    onChanged();
    const file = { format: "kellux-rates", version: 1, lenders: [lender] };
    const putBack = async () => {
      const back = await ratesApi.take(
        { name: "rates.json", text: JSON.stringify(file), locale },
        answer.value.mark,
      );
      if (back.kind !== "done") notify.error(`It was not put back. ${reasonOf(back)}`);
      onChanged();
    };
    notify(`${program ?? lender.name} was taken out.`, {
      action: { label: "Undo", onClick: () => void putBack() },
    });
  };
  return (
    <section aria-label={lender.name} className="card-paper overflow-x-auto">
      <div className="flex items-center gap-3 px-4 py-2">
        <h2 className="font-semibold text-lg">{lender.name}</h2>
        <span className="grow" />
        {isWhole && (
          <button type="button" className="btn btn-ghost btn-sm" onClick={() => void remove()}>
            Remove<span className="sr-only"> {lender.name}</span>
          </button>
        )}
      </div>
      <table className="w-full text-left">
        <thead>
          <tr className="bg-base-200 text-sm">
            {["Program", "Kind", "Valid", "For", ...(isWhole ? ["Buy rates"] : [])].map(head => (
              <th key={head} scope="col" className="px-4 py-1.5 font-semibold">
                {head}
              </th>
            ))}
            {isWhole && (
              <th scope="col">
                <span className="sr-only">What can be done</span>
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {lender.programs.map(program => (
            <Fragment key={program.name}>
              <tr className="border-base-300 border-t">
                <th scope="row" className="px-4 py-1.5 font-semibold">
                  {isWhole ? (
                    <button
                      type="button"
                      className="cursor-pointer text-left hover:underline"
                      aria-expanded={opened === program.name}
                      onClick={() => setOpened(opened === program.name ? null : program.name)}
                    >
                      <span aria-hidden="true">{opened === program.name ? "▾ " : "▸ "}</span>
                      {program.name}
                    </button>
                  ) : (
                    program.name
                  )}
                </th>
                <td className="px-4">{PROGRAM_KINDS[program.kind]}</td>
                <td className="px-4">
                  <Valid program={program} notation={notation} />
                </td>
                <td className="px-4">{[program.condition, program.currency].filter(Boolean).join(", ")}</td>
                {isWhole && (
                  <td className="whitespace-nowrap px-4 tabular-nums">
                    {inNotation(ratesText(program as ProgramFile), notation)}
                  </td>
                )}
                {isWhole && (
                  <td className="px-3 text-right">
                    <button
                      type="button"
                      className="btn btn-ghost btn-xs"
                      onClick={() => void remove(program.name)}
                    >
                      Remove<span className="sr-only"> {program.name}</span>
                    </button>
                  </td>
                )}
              </tr>
              {isWhole && opened === program.name && (
                <tr>
                  <td colSpan={6} className="px-4 pb-3">
                    <Says program={program as ProgramFile} notation={notation} />
                  </td>
                </tr>
              )}
            </Fragment>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Valid({ program, notation }: { program: Pick<ProgramFile, "valid">; notation: Notation }) {
  const { from, to } = program.valid ?? {};
  const today = todaysDay();
  const isOver = to !== undefined && (parseIsoDate(to) ?? today) < today;
  const isToCome = from !== undefined && (parseIsoDate(from) ?? today) > today;
  return (
    <>
      {inNotation(validText(program), notation) || <span className="text-faint">always</span>}
      {isOver && <span className="ml-2 font-semibold text-warning">ran out</span>}
      {isToCome && <span className="ml-2 text-faint">not yet</span>}
    </>
  );
}

/** The least and the greatest rate that it is bought at. */
function ratesText({ rates }: ProgramFile): string {
  const bought = rates.map(row =>
    Number(("moneyFactor" in row ? row.moneyFactor : row.buyRate) ?? row.buyRate),
  );
  const unit = rates.some(row => "moneyFactor" in row) ? "" : " %";
  const [least, most] = [Math.min(...bought), Math.max(...bought)];
  return least === most ? `${least}${unit}` : `${least} to ${most}${unit}`;
}

function Says({ program, notation }: { program: ProgramFile; notation: Notation }) {
  return (
    <dl className="grid gap-x-6 gap-y-0.5 text-sm sm:grid-cols-[max-content_1fr] xl:grid-cols-[max-content_1fr_max-content_1fr]">
      {programLines(program).map(({ name, text }, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: two lines can be called the same
        <Fragment key={index}>
          <dt className="text-faint">{inNotation(name, notation)}</dt>
          <dd>{inNotation(text, notation)}</dd>
        </Fragment>
      ))}
    </dl>
  );
}
