import { equityOverTime, type KeptWay } from "@/core/horizon";
import { tiesInWords } from "@/exchange/keep-for/tie-words";
import { wayName } from "@/exchange/keep-for/way-names";
import { amountIn, inNotation } from "@/exchange/notation";
import { useNotation } from "../option/option-context";
import { CardSection } from "../repayment/CardSection";
import type { Horizon } from "./use-horizon";

type Props = { horizon: Horizon; told: NonNullable<Horizon["told"]>; names: readonly string[] };

/** Where each way ties with the one that others are set against, and since when one of them stays cheaper. */
export function Ties({ horizon, told, names }: Props) {
  const { notation } = useNotation();
  const { currency, file, isOld } = horizon;
  const money = (minor: number) => amountIn(minor, currency, notation);
  const nameOf = (way: KeptWay) => wayName(way, names);
  const own = told.kept.ways[told.kept.against] as KeptWay;
  const ties = tiesInWords(told, nameOf, file.unit, {
    money,
    number: text => inNotation(text, notation),
  });
  return (
    <CardSection title="Where they tie">
      <div className={isOld ? "stale" : ""}>
        {ties.length === 0 && (
          <p className="text-faint">There is no other way here that {nameOf(own)} could tie with.</p>
        )}
        {ties.map(({ way, sentences }) => (
          <div key={nameOf(way)} className="mb-1.5">
            <h3 className="font-sans font-semibold text-sm">
              {nameOf(way)} <span className="font-normal text-faint">and {nameOf(own)}</span>
            </h3>
            <p className="leading-snug">
              {sentences.map((sentence, index) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a sentence is known by its place
                <span key={index}>
                  {sentence.map((piece, place) =>
                    typeof piece === "string" ? (
                      piece
                    ) : (
                      // biome-ignore lint/suspicious/noArrayIndexKey: a piece is known by its place
                      <b key={place} className="font-semibold text-warning">
                        {"strong" in piece ? piece.strong : ""}
                      </b>
                    ),
                  )}{" "}
                </span>
              ))}
            </p>
          </div>
        ))}
        <Owed told={told} own={own} name={nameOf(own)} money={money} />
      </div>
    </CardSection>
  );
}

type OwedProps = {
  told: NonNullable<Horizon["told"]>;
  own: KeptWay;
  name: string;
  money: (minor: number) => string;
};

/** Until when more is owed than the vehicle is worth, by the way that others are set against. */
function Owed({ told, own, name, money }: OwedProps) {
  if (own.option === null || own.end !== "sold") return null;
  const line = told.lines.lines.find(({ option, end }) => option === own.option && end === own.end);
  const { owedExceedsUntil, least } = equityOverTime(line?.equity ?? [], told.lines.months);
  if (!least) return null;
  return (
    <p className="text-sm">
      {name}:{" "}
      {owedExceedsUntil === null ? (
        `worth exceeds owed throughout, by least after month ${least.month}, by ${money(least.equity)}.`
      ) : (
        <>
          owed exceeds worth until <b className="font-semibold text-warning">month {owedExceedsUntil}</b>, by
          most after month {least.month}, by {money(-least.equity)}.
        </>
      )}
    </p>
  );
}
