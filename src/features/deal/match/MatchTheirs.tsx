import { type Deal, FREQUENCY_NAMES, type Quote } from "@/core";
import type { StatedFile } from "@/exchange/match/match.schema";
import { amountIn, dateIn, decimalIn } from "@/exchange/notation";
import { MatchBody } from "@/features/match/MatchBody";
import { useDesk } from "../desk/desk-context";
import { withAside } from "../desk/with-aside";
import { shownQuote } from "../option";
import { useNotation, useOption } from "../option/option-context";
import { PaperButton } from "../papers/PaperButton";
import { KeepNote } from "./KeepNote";
import { TakeIn } from "./TakeIn";

const NOTHING: StatedFile = {};

/** Where a lender's figures come from that are not the deal's. */
export function MatchTheirs() {
  const { state, dispatch } = useDesk();
  const { option } = useOption();
  const { notation } = useNotation();
  const { open, asides, heading } = state;
  const stated = asides?.options?.[open]?.theirs ?? NOTHING;
  const quote = option.answer.ok ? shownQuote(option) : null;
  const { currency } = option.inputs;
  const isLease = option.kind === "lease";
  return (
    <section aria-label="Match a lender’s figures" className="flex min-h-0 flex-1 flex-col">
      <MatchBody
        // What is typed and cannot be read is of one option.
        key={open}
        deal={(quote?.filled as Deal | undefined) ?? null}
        why={
          option.answer.ok
            ? ""
            : `Their figures are held against an answer: ${option.answer.failure.sentence}`
        }
        stated={stated}
        change={(change, key) =>
          dispatch({
            type: "asides",
            key: `theirs ${open} ${key}`,
            change: now => {
              const changed = change(now.options?.[open]?.theirs ?? NOTHING);
              return withAside(now, open, "theirs", Object.keys(changed).length > 0 ? changed : undefined);
            },
          })
        }
        notation={notation}
        currency={currency}
        isLease={isLease}
        place={heading.place}
        actions={told => (
          <>
            <TakeIn
              way={told.way}
              of={told.of}
              isFit={told.matched.ways.length > 0 && told.matched.stated > 1}
              decimals={told.quote.decimals}
            />
            <KeepNote told={told} />
            <PaperButton name="comparison" details={{}} />
          </>
        )}
      >
        <div className="px-4 py-3">
          <h2 className="font-semibold text-lg">{isLease ? "The lease" : "The loan"}</h2>
          {quote ? <Known quote={quote as Quote} /> : <p className="text-faint">It has no answer yet.</p>}
        </div>
      </MatchBody>
    </section>
  );
}

/** What the deal has, which theirs is held against. */
function Known({ quote }: { quote: Quote }) {
  const { notation } = useNotation();
  const { currency, plan } = quote.filled;
  const money = (minor: number) => amountIn(minor, currency, notation);
  const facts: [string, string][] =
    quote.kind === "lease"
      ? [
          ["Adjusted capitalized cost", money(quote.cost)],
          ["Residual", money(quote.residual)],
          ["Money factor", decimalIn(String(quote.moneyFactor), notation)],
        ]
      : [
          ["Loan amount", money(quote.loanAmount)],
          ["Yearly rate", `${decimalIn(quote.yearlyRate, notation)} %`],
        ];
  const first = quote.firstDate;
  return (
    <dl className="mt-1 grid grid-cols-[1fr_auto] gap-x-3 gap-y-0.5">
      {[
        ...facts,
        ["Payments", `${quote.payments} ${FREQUENCY_NAMES[plan.frequency].adjective}`] as const,
        ["First payment", first === null ? "not known" : dateIn(first, notation)] as const,
      ].map(([name, text]) => (
        <div key={name} className="contents">
          <dt className="text-faint">{name}</dt>
          <dd className="text-right">{text}</dd>
        </div>
      ))}
    </dl>
  );
}
