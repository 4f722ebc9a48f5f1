import type { ReactNode } from "react";
import type { EarnedSums } from "@/exchange/income";
import { decimalIn, type Notation } from "@/exchange/notation";
import type { EarnedReply, EarningLine } from "@/server/contract";

/** How figures are written. */
export type Shown = {
  notation: Notation;
  money: (minor: number | null, currency: string) => string;
  day: (iso: string) => string;
};

/** A card with a table in it. */
export function Card({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="rounded-box border border-info border-dashed bg-base-100">
      <h2 className="px-4 py-2 font-semibold text-lg">{title}</h2>
      <div className="overflow-x-auto">{children}</div>
    </section>
  );
}

export function Heads({ names }: { names: readonly string[] }) {
  return (
    <thead>
      <tr className="bg-base-200 text-sm">
        {names.map((name, index) => (
          <th
            key={name}
            scope="col"
            className={`px-3 py-1.5 font-normal text-faint ${index === 0 ? "pl-4 text-left" : "text-right"}`}
          >
            {name}
          </th>
        ))}
      </tr>
    </thead>
  );
}

const CELL = "whitespace-nowrap border-base-300 border-t px-3 py-1 text-right tabular-nums";

/** A row: what it is of, and its figures. */
export function Figures({ of, cells }: { of: ReactNode; cells: readonly ReactNode[] }) {
  return (
    <tr>
      <th scope="row" className="border-base-300 border-t py-1 pr-3 pl-4 text-left font-normal">
        {of}
      </th>
      {cells.map((cell, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a cell's place is its column
        <td key={index} className={CELL}>
          {cell}
        </td>
      ))}
    </tr>
  );
}

const percent = (share: number) => `${Math.round(share * 100)} %`;

/** What some deals have earned together, a currency a row. */
export function Sums({ title, sums, shown }: { title: string; sums: EarnedSums[]; shown: Shown }) {
  const { money } = shown;
  return (
    <Card title={title}>
      {sums.length === 0 ? (
        <p className="px-4 pb-3 text-faint">No deal</p>
      ) : (
        <table className="w-full">
          <Heads
            names={[
              ...["Currency", "Deals", "Front gross", "Back gross", "Front a deal", "Back a deal"],
              ...["Officers’ shares", "With a reserve", "With extras"],
            ]}
          />
          <tbody>
            {sums.map(each => (
              <Figures
                key={each.currency}
                of={each.currency}
                cells={[
                  each.deals,
                  money(each.front, each.currency),
                  money(each.back, each.currency),
                  money(each.averageFront, each.currency),
                  money(each.averageBack, each.currency),
                  money(each.officerShare, each.currency),
                  percent(each.withReserve),
                  <span key="extras" className="whitespace-normal text-sm">
                    {each.extras.map(({ name, share }) => `${name} ${percent(share)}`).join(", ") || "none"}
                  </span>,
                ]}
              />
            ))}
          </tbody>
        </table>
      )}
    </Card>
  );
}

/** The way to a deal, by whom it is for. */
export function DealLink({ deal: { id, customer, vehicle } }: { deal: EarningLine }) {
  return (
    <>
      <a href={`/deals/${id}`} className="font-semibold text-primary">
        {customer || "New deal"}
      </a>{" "}
      <span className="text-faint text-sm">{vehicle}</span>
    </>
  );
}

/** Deals one by one. */
export function DealsEarned({ title, deals, shown }: { title: string; deals: EarningLine[]; shown: Shown }) {
  const { money, day, notation } = shown;
  return (
    <Card title={title}>
      <table className="w-full">
        <Heads
          names={[
            ...["Deal", "Signed on", "Front gross", "Back gross", "Reserve", "Officer’s share", "Spread"],
            "Why this spread",
          ]}
        />
        <tbody>
          {deals.map(deal => (
            <Figures
              key={deal.id}
              of={<DealLink deal={deal} />}
              cells={[
                deal.signedOn === null ? "agreed" : day(deal.signedOn),
                money(deal.front, deal.currency),
                money(deal.back, deal.currency),
                money(deal.reserve, deal.currency),
                money(deal.officerShare, deal.currency),
                deal.spread === null ? "–" : decimalIn(String(deal.spread), notation),
                <span key="why" className="whitespace-normal text-sm">
                  {deal.reason ?? ""}
                </span>,
              ]}
            />
          ))}
        </tbody>
      </table>
    </Card>
  );
}

type PeopleProps = { title: string; people: NonNullable<EarnedReply["people"]>; shown: Shown };

/** What of some deals is whose, by the shares that those who work on them have. */
export function PeopleEarned({ title, people, shown: { money } }: PeopleProps) {
  return (
    <Card title={title}>
      <table className="w-full">
        <Heads names={["Who", "Deals", "Front gross", "Back gross", "Together"]} />
        <tbody>
          {people.map(({ name, currency, deals, front, back }) => (
            <Figures
              key={`${name} ${currency}`}
              of={name}
              cells={[deals, money(front, currency), money(back, currency), money(front + back, currency)]}
            />
          ))}
        </tbody>
      </table>
    </Card>
  );
}
