import { moneyWriter, type WorkingStep } from "../../../working";
import { LEASE_NAMES } from "../find";
import { LEASE_RATE_NOTICE, type LeaseQuote } from "../pricing";

/** How a figure was found, by itself: the payment that it leads to has it among its own parts. */
export function foundStep(quote: LeaseQuote): WorkingStep {
  const { find, from, plan } = quote.deal;
  const known = from?.figure ?? "payment";
  const [name, asked] = [LEASE_NAMES[find], LEASE_NAMES[known]];
  const isFewest = find === "payments" && known === "payment";
  const isRate = find === "moneyFactor" || find === "yearlyRate";
  return {
    name: name.charAt(0).toUpperCase() + name.slice(1),
    formula: isFewest
      ? "the fewest payments at or under the one asked for"
      : `the last ${name} whose ${asked} does not pass the one asked for`,
    filled: `for a ${asked} of ${moneyWriter(quote)(from?.value ?? plan.payment ?? 0)}`,
    result: foundText(quote),
    ...(isRate && { remark: LEASE_RATE_NOTICE }),
    parts: [],
  };
}

function foundText(quote: LeaseQuote): string {
  const money = moneyWriter(quote);
  const { residual } = quote.filled.plan;
  switch (quote.deal.find) {
    case "payment":
      return money(quote.payment);
    case "price":
      return money(quote.price);
    case "down":
      return money(quote.down);
    case "allowance":
      return money(quote.allowance);
    case "residual":
      return money(quote.residual);
    case "residualPercent":
      return `${residual && "percent" in residual ? residual.percent : 0} %`;
    case "moneyFactor":
      return String(quote.filled.plan.moneyFactor);
    case "yearlyRate":
      return `${quote.filled.plan.yearlyRate} %`;
    case "payments":
      return String(quote.payments);
  }
}
