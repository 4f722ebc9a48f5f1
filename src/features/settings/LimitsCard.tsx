import { withOptional } from "@/exchange/members";
import { notationOf } from "@/exchange/notation";
import type { Settings } from "@/exchange/settings";
import { KnownAt, KnownField } from "@/features/deal/dealer/KnownField";

type Limits = NonNullable<Settings["limits"]>;

type Props = {
  limits: Limits;
  house: Pick<Settings, "currency" | "locale">;
  onChange: (limits: Limits) => void;
};

const LONGEST_TERM = 600;

/** What the place lets customers be asked for: deals mark what is beyond it, and keep nothing from being done. */
export function LimitsCard({ limits, house, onChange }: Props) {
  const { mostRate, mostTerm, mostPersonalApr, documentFee } = limits;
  const put = <Key extends keyof Limits>(key: Key, value: Limits[Key] | undefined) =>
    onChange(withOptional(limits, key, value));
  const fee = documentFee ?? { name: "Documents", most: "" };
  return (
    <section aria-labelledby="limits-title" className="card-paper px-4 py-3">
      <h2 id="limits-title" className="font-semibold text-lg">
        Limits of the place
      </h2>
      <p className="text-faint text-sm">
        What the law of the place lets customers be asked for. A deal marks what is beyond it.
      </p>
      <KnownAt value={{ currency: house.currency, notation: notationOf(house.locale) }}>
        <div className="mt-1 grid grid-cols-[1fr_8rem_4rem] items-center gap-x-3 gap-y-1">
          <span>Most rate a year</span>
          <KnownField
            label="Most rate a year"
            of="percent"
            value={mostRate}
            put={value => put("mostRate", value)}
            className="w-full"
          />
          <span className="text-faint text-sm">%</span>
          <span>Most term</span>
          <KnownField
            label="Most term in months"
            of="count"
            most={LONGEST_TERM}
            value={mostTerm}
            put={value => put("mostTerm", value === undefined ? undefined : Math.max(Number(value), 1))}
            className="w-full"
          />
          <span className="text-faint text-sm">months</span>
          <span>Most APR of a personal loan</span>
          <KnownField
            label="Most APR of a personal loan"
            of="percent"
            value={mostPersonalApr}
            put={value => put("mostPersonalApr", value)}
            className="w-full"
          />
          <span className="text-faint text-sm">%</span>
          <span className="flex items-center gap-2">
            Most of the fee
            <KnownField
              label="Name of the document fee"
              of="words"
              value={fee.name}
              put={name => put("documentFee", name === undefined ? undefined : { ...fee, name })}
              className="w-36"
            />
          </span>
          <KnownField
            label="Most document fee"
            of="amount"
            value={fee.most === "" ? undefined : fee.most}
            put={most => put("documentFee", most === undefined ? undefined : { ...fee, most })}
            className="w-full"
          />
          <span className="text-faint text-sm">{house.currency}</span>
        </div>
      </KnownAt>
    </section>
  );
}
