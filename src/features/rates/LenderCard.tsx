import { Fragment, useState } from "react";
import { parseIsoDate } from "@/core";
import type { ProgramFile } from "@/exchange/dealer/program.schema";
import { inNotation, type Notation } from "@/exchange/notation";
import { PROGRAM_KINDS } from "@/exchange/rates/program-kinds";
import { inHundredths, programLines, validText } from "@/exchange/rates/program-words";
import type { Lender } from "@/exchange/rates/rates.schema";
import { boughtAt } from "@/exchange/rates/read-program";
import { ratesApi } from "@/features/api/rates";
import { reasonOf } from "@/features/api/reason-of";
import { todaysDay } from "@/features/figures/today";
import { notify } from "@/features/notices/notify";
import { useMay } from "@/features/people/me-context";
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

const HEADS = [
  ["Program", "w-[27%]"],
  ["Kind", "w-[13%]"],
  ["Valid", "w-[25%]"],
  ["For", "w-[13%]"],
  ["Buy rates", ""],
] as const;

/** A lender with its programs; each opens to all that it says. */
export function LenderCard({ lender, isWhole, notation, mark, locale, onChanged }: Props) {
  const mayChange = useMay("changeRates");
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
        {isWhole && mayChange && (
          <button type="button" className="btn btn-ghost btn-sm" onClick={() => void remove()}>
            Remove<span className="sr-only"> {lender.name}</span>
          </button>
        )}
      </div>
      <table className="w-full min-w-3xl table-fixed text-left">
        <thead>
          <tr className="bg-base-200 text-sm">
            {HEADS.slice(0, isWhole ? undefined : -1).map(([head, width]) => (
              <th key={head} scope="col" className={`px-4 py-1.5 font-semibold ${width}`}>
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
                    {mayChange && (
                      <button
                        type="button"
                        className="btn btn-ghost btn-xs"
                        onClick={() => void remove(program.name)}
                      >
                        Remove<span className="sr-only"> {program.name}</span>
                      </button>
                    )}
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
  const isFactor = rates.some(row => "moneyFactor" in row);
  const bought = rates.map(boughtAt).sort((one, other) => Number(one) - Number(other));
  const [least, most] = [bought[0] ?? "", bought.at(-1) ?? ""].map(rate =>
    isFactor ? rate : inHundredths(rate),
  );
  const unit = isFactor ? "" : " %";
  return least === most ? `${least}${unit}` : `${least} to ${most}${unit}`;
}

function Says({ program, notation }: { program: ProgramFile; notation: Notation }) {
  return (
    <dl className="text-sm lg:columns-2 lg:gap-8">
      {programLines(program).map(({ name, text }, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: two lines can be called the same
        <div key={index} className="grid break-inside-avoid grid-cols-[15rem_1fr] gap-x-4 py-px">
          <dt className="text-faint">{inNotation(name, notation)}</dt>
          <dd>{inNotation(text, notation)}</dd>
        </div>
      ))}
    </dl>
  );
}
