import type { ReactNode } from "react";
import { type DealerOfOption, METHODS } from "@/exchange/dealer";
import { definedOnly, withOptional } from "@/exchange/members";
import { KnownField } from "./KnownField";

type Reserve = NonNullable<DealerOfOption["reserve"]>;
type Terms = Pick<DealerOfOption, "reserve" | "officerShare">;

type Props<Of extends Terms> = {
  terms: Of;
  put: (next: Of) => void;
  /** Where only a flat reserve may be agreed. */
  isFlatOnly: boolean;
};

/** How the lender pays the dealer, what of it comes back, and what the officer has of what is earned. */
export function LenderTerms<Of extends Terms>({ terms, put, isFlatOnly }: Props<Of>) {
  const { reserve, officerShare } = terms;
  const change = (next: Partial<Record<keyof Reserve | "amount" | "percent", unknown>>) =>
    reserve && put({ ...terms, reserve: definedOnly({ ...reserve, ...next }) as Reserve });
  const choose = (method: string) => {
    const { share, most, chargeback } = reserve ?? {};
    const kept = definedOnly({ share, most, chargeback });
    const next = { method, ...kept, ...(method === "flat" && { amount: "0" }) } as Reserve;
    put(withOptional(terms, "reserve", method === "" ? undefined : next));
  };
  const isPercent = reserve?.method === "flat" && reserve.percent !== undefined;
  const chargeback = reserve?.chargeback ?? {};
  const comesBack = (next: Partial<Record<keyof typeof chargeback, unknown>>) => {
    const changed = definedOnly({ ...chargeback, ...next });
    change({ chargeback: Object.keys(changed).length > 0 ? changed : undefined });
  };
  const whole = (text: string | undefined) => (text === undefined ? undefined : Number(text));
  return (
    <div className="grid gap-x-6 gap-y-2 md:grid-cols-2">
      <Labelled name="Reserve">
        <select
          aria-label="How the reserve is reckoned"
          className="field"
          value={reserve?.method ?? ""}
          onChange={({ target }) => choose(target.value)}
        >
          <option value="">none</option>
          {(Object.keys(METHODS) as Reserve["method"][])
            .filter(method => !isFlatOnly || method === "flat" || method === reserve?.method)
            .map(method => (
              <option key={method} value={method}>
                {METHODS[method]}
              </option>
            ))}
        </select>
      </Labelled>
      {reserve?.method === "flat" && (
        <Labelled name={isPercent ? "Percent of the loan amount" : "Flat amount"}>
          <KnownField
            label={isPercent ? "Percent of the loan amount" : "Flat amount"}
            of={isPercent ? "percent" : "amount"}
            value={isPercent ? reserve.percent : reserve.amount}
            put={value => change(isPercent ? { percent: value ?? "0" } : { amount: value ?? "0" })}
          />
          <button
            type="button"
            className="min-h-6 cursor-pointer text-primary text-sm underline"
            onClick={() =>
              change(isPercent ? { percent: undefined, amount: "0" } : { amount: undefined, percent: "0" })
            }
          >
            {isPercent ? "as an amount" : "as a percent"}
          </button>
        </Labelled>
      )}
      {reserve && (
        <>
          <Labelled name="Dealer’s share of it, %">
            <KnownField
              label="Dealer’s share of the reserve"
              of="percent"
              value={reserve.share}
              put={share => change({ share })}
              placeholder="100"
            />
          </Labelled>
          <Labelled name="At most">
            <KnownField
              label="Most of the reserve"
              of="amount"
              value={reserve.most}
              put={most => change({ most })}
            />
          </Labelled>
          <Labelled name="All of it comes back up to payment">
            <KnownField
              label="All comes back up to payment"
              of="count"
              most={1200}
              value={chargeback.until}
              put={until => comesBack({ until: whole(until) })}
              className="w-16"
            />
            or day
            <KnownField
              label="All comes back up to day"
              of="count"
              most={3660}
              value={chargeback.untilDays}
              put={days => comesBack({ untilDays: whole(days) })}
              className="w-16"
            />
          </Labelled>
          <Labelled name="after that">
            <select
              aria-label="What comes back after that"
              className="field"
              value={chargeback.then ?? "nothing"}
              onChange={({ target }) =>
                comesBack({ then: target.value === "nothing" ? undefined : target.value })
              }
            >
              <option value="nothing">nothing</option>
              <option value="byTime">a part by time</option>
              <option value="byInterest">a part by the interest still to come</option>
            </select>
          </Labelled>
        </>
      )}
      <div className="md:col-span-2">
        <Labelled name="Officer’s share, %">
          <KnownField
            label="Officer’s share"
            of="percent"
            value={officerShare?.percent}
            put={percent =>
              put(
                withOptional(
                  terms,
                  "officerShare",
                  percent === undefined ? undefined : { ...officerShare, percent },
                ),
              )
            }
            className="w-16"
          />
          {officerShare && (
            <>
              <span>of</span>
              <select
                aria-label="What the officer’s share is of"
                className="choice-in-words"
                value={officerShare.of ?? "back"}
                onChange={({ target }) =>
                  put({ ...terms, officerShare: { ...officerShare, of: target.value as "back" } })
                }
              >
                <option value="back">the back gross</option>
                <option value="all">all that is earned</option>
                <option value="reserve">the reserve</option>
              </select>
              <span>less</span>
              <KnownField
                label="Fixed amount before the officer’s share"
                of="amount"
                value={officerShare.less}
                put={less => put({ ...terms, officerShare: definedOnly({ ...officerShare, less }) as never })}
                className="w-24"
              />
            </>
          )}
        </Labelled>
      </div>
    </div>
  );
}

/** A field with what stands before it. */
export function Labelled({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
      <span className="text-faint text-sm">{name}</span>
      {children}
    </div>
  );
}
