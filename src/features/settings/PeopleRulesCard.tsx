import { type Locale, notationOf } from "@/exchange/notation";
import {
  DEFAULT_IDLE_MINUTES,
  FEWEST_MONTHS_OF_DEALS,
  FEWEST_MONTHS_OF_DOINGS,
  LONGEST_IDLE_MINUTES,
} from "@/exchange/settings";
import { Check } from "@/features/deal/parts/choices";
import { useMe } from "@/features/people/me-context";
import { CountField } from "./CountField";
import type { PeopleRules } from "./settings-state";

const MOST_MONTHS = 1200;

type Props = { rules: PeopleRules; locale: Locale; onChange: (rules: PeopleRules) => void };

/** How those who work here sign in, and how long what they did, and deals, are kept. */
export function PeopleRulesCard({ rules, locale, onChange }: Props) {
  const me = useMe();
  const notation = notationOf(locale);
  const put = <Key extends keyof PeopleRules>(key: Key, value: PeopleRules[Key] | undefined) => {
    const { [key]: _, ...others } = rules;
    onChange(value === undefined ? others : { ...others, [key]: value });
  };
  return (
    <section aria-labelledby="people-rules-title" className="card-paper px-4 py-3">
      <h2 id="people-rules-title" className="font-semibold text-lg">
        People
      </h2>
      <p className="text-faint text-sm">
        {me
          ? "Everybody signs in, and sees and does what their roles say."
          : "Nobody has a name yet: whoever is at this machine sees and does everything."}
      </p>
      <p className="mt-2">
        <a className="btn btn-sm" href="/people">
          {me ? "Who works here" : "Make the first person …"}
        </a>
      </p>
      <div className="mt-3">
        <Check
          label="Everybody gives a one-time code besides the password"
          checked={rules.wantsCodes ?? false}
          onChange={is => put("wantsCodes", is || undefined)}
        />
        <p className="text-faint text-sm">
          In the United States the safeguards rule asks whoever extends or arranges credit for it (16 CFR
          314.4(c)(5)).
        </p>
      </div>
      <div className="mt-3 grid items-end gap-3 sm:grid-cols-3">
        <CountField
          label={`A screen locks after (minutes; ${DEFAULT_IDLE_MINUTES} unless settled)`}
          value={rules.locksAfter}
          range={[1, LONGEST_IDLE_MINUTES]}
          notation={notation}
          onChange={minutes => put("locksAfter", minutes)}
        />
        <CountField
          label="Who did what is kept for (months)"
          value={rules.monthsOfDoings}
          range={[FEWEST_MONTHS_OF_DOINGS, MOST_MONTHS]}
          notation={notation}
          onChange={months => put("monthsOfDoings", months)}
        />
        <CountField
          label="Deals are kept for (months)"
          value={rules.monthsOfDeals}
          range={[FEWEST_MONTHS_OF_DEALS, MOST_MONTHS]}
          notation={notation}
          onChange={months => put("monthsOfDeals", months)}
        />
      </div>
      <p className="mt-1 text-faint text-sm">
        {rules.monthsOfDeals === undefined
          ? "Left empty, each is kept for good."
          : `Deals that nobody has changed for ${rules.monthsOfDeals} months are removed with their histories, day by day, once their papers are.`}
      </p>
    </section>
  );
}
