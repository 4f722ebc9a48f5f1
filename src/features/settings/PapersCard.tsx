import { useState } from "react";
import { notationOf } from "@/exchange/notation";
import { FEWEST_MONTHS_KEPT, type HousePapers, STANDING_LINES, type StandingLine } from "@/exchange/settings";
import { KnownAt, KnownField } from "@/features/deal/dealer/KnownField";
import { Check, Choice } from "@/features/deal/parts/choices";
import { CountField } from "./CountField";
import { LogoField } from "./LogoField";
import type { House, PapersChange } from "./settings-state";
import { TextField } from "./TextField";

type Props = { papers: HousePapers; house: House; onChange: (change: PapersChange) => void };

const SIZES = [
  ["", "as usual at the place"],
  ["Letter", "Letter"],
  ["A4", "A4"],
] as const;

const DAYS_GOOD = 14;

/** What stands on the papers of the house, and how long given ones are kept. */
export function PapersCard({ papers, house, onChange }: Props) {
  const { locale, currency } = house;
  const notation = notationOf(locale);
  return (
    <section aria-labelledby="papers-title" className="card-paper px-4 py-3">
      <h2 id="papers-title" className="font-semibold text-lg">
        Papers
      </h2>
      <p className="text-faint text-sm">Stands on what customers take home, beside the name of the house.</p>
      <div className="mt-1 grid grid-cols-2 items-start gap-x-3 gap-y-2">
        <div className="col-span-2">
          <TextField
            label="Address"
            lines={3}
            value={papers.address ?? ""}
            onChange={address => onChange({ address })}
          />
        </div>
        <TextField
          label="Telephone"
          value={papers.telephone ?? ""}
          onChange={telephone => onChange({ telephone })}
        />
        <TextField label="E-mail" value={papers.email ?? ""} onChange={email => onChange({ email })} />
        <TextField
          label="Officer’s name"
          value={papers.officer ?? ""}
          onChange={officer => onChange({ officer })}
        />
        <Choice
          label="Paper size"
          value={papers.size ?? ""}
          choices={SIZES}
          onChange={size => onChange({ size: size || undefined })}
        />
        <div className="col-span-2">
          <LogoField logo={papers.logo} onChange={logo => onChange({ logo })} />
        </div>
        <CountField
          label="A proposal is good for (days)"
          value={papers.daysGood ?? DAYS_GOOD}
          range={[1, 365]}
          notation={notation}
          onChange={daysGood => onChange({ daysGood })}
        />
        <CountField
          label="Given papers are kept for (months)"
          value={papers.monthsKept}
          range={[FEWEST_MONTHS_KEPT, 1200]}
          notation={notation}
          onChange={monthsKept => onChange({ monthsKept })}
        />
      </div>
      <p className="mt-1 text-faint text-sm">
        {papers.monthsKept === undefined
          ? "Given papers are kept for good."
          : `Given papers older than ${papers.monthsKept} months are removed, day by day; History says so.`}
      </p>
      <CostPapers papers={papers} currency={currency} locale={locale} onChange={onChange} />
    </section>
  );
}

type CostProps = Omit<Props, "house"> & Pick<House, "currency" | "locale">;

/** What cost papers ask of the house: what the figures do not say. */
function CostPapers({ papers, currency, locale, onChange }: CostProps) {
  const [isOpen, setOpen] = useState(false);
  const { standing = {} } = papers;
  const notation = notationOf(locale);
  const settle = (line: StandingLine, text: string) =>
    onChange({ standing: { ...standing, [line]: text || undefined } as HousePapers["standing"] });
  return (
    <div className="mt-2 border-base-300 border-t pt-2">
      <button
        type="button"
        className="min-h-6 cursor-pointer font-semibold text-primary text-sm"
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
      >
        {isOpen ? "Hide what cost papers say" : "What cost papers say"}
      </button>
      {isOpen && (
        <div className="mt-1 grid gap-2">
          <p className="text-faint text-sm">
            In the words of the house’s own contracts. Where the law asks for a line that is left empty, the
            paper says that it is not on it.
          </p>
          {(Object.keys(STANDING_LINES) as StandingLine[]).map(line => (
            <TextField
              key={line}
              label={STANDING_LINES[line]}
              lines={2}
              value={standing[line] ?? ""}
              onChange={text => settle(line, text)}
            />
          ))}
          <div>
            <span className="mb-0.5 block text-faint text-sm" aria-hidden="true">
              No cost paper above this amount
            </span>
            <div className="w-40">
              <KnownAt value={{ currency, notation }}>
                <KnownField
                  label="No cost paper above this amount"
                  of="amount"
                  value={papers.consumerLimit}
                  put={consumerLimit => onChange({ consumerLimit })}
                  className="w-full"
                />
              </KnownAt>
            </div>
            <p className="text-faint text-sm">
              The yearly amount of consumer law; empty, every deal for personal use has one.
            </p>
          </div>
          <Check
            label="Cash counts first against what is owed on a trade-in beyond its allowance"
            checked={papers.cashFirstAgainstOwed ?? false}
            onChange={is => onChange({ cashFirstAgainstOwed: is || undefined })}
          />
          <Check
            label="Rebates count in the down payment, and do not lower the cash price"
            checked={papers.rebatesInDown ?? false}
            onChange={is => onChange({ rebatesInDown: is || undefined })}
          />
        </div>
      )}
    </div>
  );
}
