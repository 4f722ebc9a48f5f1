import type { Applicant } from "@/exchange/dealer";
import { definedOnly } from "@/exchange/members";
import { KnownField } from "./KnownField";
import { Labelled } from "./LenderTerms";

type Props = { applicant: Applicant; put: (applicant: Applicant | undefined) => void };

const AMOUNTS = [
  ["income", "Income a month, gross"],
  ["housing", "Housing a month"],
  ["debts", "Other debts a month"],
  ["paidOff", "of these, paid off here"],
] as const;

/** What lenders ask of the customer. */
export function ApplicantFields({ applicant, put }: Props) {
  const change = (next: Partial<Record<keyof Applicant, unknown>>) => {
    const changed = definedOnly({ ...applicant, ...next }) as Applicant;
    put(Object.keys(changed).length > 0 ? changed : undefined);
  };
  return (
    <div className="flex flex-wrap gap-x-5 gap-y-1.5">
      <Labelled name="Score">
        <KnownField
          label="Score"
          of="count"
          most={1000}
          value={applicant.score}
          put={score => change({ score: score === undefined ? undefined : Number(score) })}
          className="w-16"
        />
      </Labelled>
      {AMOUNTS.map(([key, name]) => (
        <Labelled key={key} name={name}>
          <KnownField
            label={name}
            of="amount"
            value={applicant[key]}
            put={value => change({ [key]: value })}
          />
        </Labelled>
      ))}
    </div>
  );
}
