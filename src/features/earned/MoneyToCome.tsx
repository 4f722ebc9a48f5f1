import type { EarnedReply } from "@/server/contract";
import { Card, DealLink, Figures, Heads, type Shown } from "./EarnedTables";

/** Deals that are signed and that no lender has paid for yet, the oldest first. */
export function InTransit({ deals, shown }: { deals: EarnedReply["inTransit"]; shown: Shown }) {
  return (
    <Card title="Contracts in transit: signed, and not paid for yet">
      {deals.length === 0 ? (
        <p className="px-4 pb-3 text-faint">None</p>
      ) : (
        <table className="w-full">
          <Heads names={["Deal", "Signed on", "Days", "Lender", "Amount", "Stipulations open"]} />
          <tbody>
            {deals.map(deal => (
              <Figures
                key={deal.id}
                of={<DealLink deal={deal} />}
                cells={[
                  deal.signedOn === null ? "" : shown.day(deal.signedOn),
                  deal.days,
                  deal.lender,
                  shown.money(deal.amount, deal.currency),
                  <span key="open" className="whitespace-normal text-sm">
                    {deal.open.join(", ") || "none"}
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

/** What came back in the month. */
export function ChargedBackTable({ lines, shown }: { lines: EarnedReply["chargedBack"]; shown: Shown }) {
  return (
    <Card title="Charged back in the month">
      <table className="w-full">
        <Heads names={["Deal", "On", "Amount"]} />
        <tbody>
          {lines.map(line => (
            <Figures
              key={`${line.id} ${line.on} ${line.amount}`}
              of={<DealLink deal={line} />}
              cells={[shown.day(line.on), shown.money(line.amount, line.currency)]}
            />
          ))}
        </tbody>
      </table>
    </Card>
  );
}
