import { useRef } from "react";
import { repaymentChart } from "@/exchange/charts/repayment-chart";
import type { CustomerContent } from "@/exchange/customer-screen/content";
import { amountIn, notationOf } from "@/exchange/notation";
import { useWidth } from "@/features/figures/use-width";

type Props = {
  content: CustomerContent;
  /** When it was frozen, as the clock says it; null while it follows. */
  asOf: string | null;
};

type Spans = NonNullable<CustomerContent["sentence"]>;

/** What a customer is shown, to be read from two metres. */
export function CustomerScreen({ content, asOf }: Props) {
  const { house, customer, vehicle, date, sentence, cards, owed, kept, extras, early } = content;
  return (
    <div
      className="min-h-dvh bg-base-100 px-[4vw] py-[3.5vh] text-[clamp(1.125rem,1.5vw,1.75rem)] leading-snug"
      data-testid="customer-screen"
    >
      <header className="flex flex-wrap items-baseline gap-x-6">
        <p className="font-semibold font-serif text-primary text-xl">{house}</p>
        <p className="ml-auto text-faint">
          {[customer && `for ${customer}`, date].filter(Boolean).join(" · ")}
          {asOf && <b className="ml-4 font-semibold text-warning">as of {asOf}</b>}
        </p>
      </header>
      <h1 className={vehicle ? "mt-[2vh] font-semibold text-[1.5em]" : "sr-only"}>
        {vehicle || "What is proposed"}
      </h1>
      {sentence && (
        <p className="mt-[1.5vh] font-serif text-[1.35em] leading-relaxed" data-testid="customer-sentence">
          <Spans spans={sentence} />
        </p>
      )}
      {cards && <Cards cards={cards} />}
      {owed && <Owed owed={owed} content={content} />}
      {kept && <KeptPart kept={kept} />}
      {extras && <Extras extras={extras} />}
      {early && (
        <Part title="Extra payments">
          <p>{early.tried.join("; ")}.</p>
          <p className="mt-1 font-serif text-[1.15em]">
            <Spans spans={early.says} />
          </p>
        </Part>
      )}
      <p className="mt-[3vh] text-faint text-lg">Figures hold for the dates shown.</p>
    </div>
  );
}

function Spans({ spans }: { spans: Spans }) {
  return spans.map((span, index) =>
    typeof span === "string" ? (
      span
    ) : (
      // biome-ignore lint/suspicious/noArrayIndexKey: a piece is known by its place
      <b key={index} className="whitespace-nowrap font-semibold">
        {span.strong}
      </b>
    ),
  );
}

function Part({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section aria-label={title} className="mt-[2.5vh]">
      <h2 className="font-semibold text-[1.15em]">{title}</h2>
      {children}
    </section>
  );
}

const NO_APR = "none: it is a lease";

/** The same facts of every option. */
function Cards({ cards }: { cards: NonNullable<CustomerContent["cards"]> }) {
  return (
    <ul className="mt-[2.5vh] grid grid-cols-[repeat(auto-fit,minmax(min(17rem,100%),1fr))] gap-4">
      {cards.map(({ name, isOpen, payment, payments, atSigning, totalCost, apr, atEnd }) => (
        <li
          key={name}
          aria-label={name}
          className={`rounded-box border-2 px-5 py-4 ${isOpen ? "border-primary" : "border-base-300"}`}
        >
          <h2 className="font-sans font-semibold">{name}</h2>
          <p className="font-semibold font-serif text-[1.9em] leading-tight">{payment}</p>
          <p className="text-faint">{payments}</p>
          <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4">
            {(
              [
                ["at signing", atSigning],
                ["in all", totalCost],
                ["APR", apr ?? NO_APR],
              ] as const
            ).map(([fact, text]) => (
              <div key={fact} className="contents">
                <dt className="text-faint">{fact}</dt>
                <dd className="text-right">{text}</dd>
              </div>
            ))}
          </dl>
          <p className="mt-1">
            <span className="text-faint">at the end</span> {atEnd}
          </p>
        </li>
      ))}
    </ul>
  );
}

const HEIGHT = 230;
/** The bars below what is owed are left out. */
const MARGIN = { top: 14, right: 16, bottom: -40, left: 84 };
const NOT_YET = 0;

function Owed({ owed, content }: { owed: NonNullable<CustomerContent["owed"]>; content: CustomerContent }) {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame, NOT_YET);
  const { start, lines, name } = owed;
  const { currency, locale } = content;
  const notation = notationOf(locale);
  const money = (minor: number) => amountIn(minor, currency, notation).replace(/[.,]0+$/, "");
  const chart =
    width === NOT_YET ? null : repaymentChart(lines, lines, start, { width, height: HEIGHT, margin: MARGIN });
  return (
    <Part title={name}>
      <div ref={frame} style={{ minHeight: HEIGHT }}>
        {chart && (
          <svg
            role="img"
            aria-label={`${name} over time: ${money(start)} at signing, ${money(lines.at(-1)?.balance ?? 0)} at the end.`}
            viewBox={`0 0 ${width} ${HEIGHT}`}
            height={HEIGHT}
            className="block w-full text-faint"
          >
            {chart.amounts.map(({ minor, y }) => (
              <g key={minor}>
                <line
                  x1={MARGIN.left}
                  x2={width - MARGIN.right}
                  y1={y}
                  y2={y}
                  stroke="var(--color-base-300)"
                />
                <text
                  x={MARGIN.left - 10}
                  y={y}
                  textAnchor="end"
                  dominantBaseline="middle"
                  className="fill-current text-base"
                >
                  {money(minor)}
                </text>
              </g>
            ))}
            <path d={chart.ground} fill="var(--color-primary)" opacity={0.12} />
            <path d={chart.owed} fill="none" stroke="var(--color-primary)" strokeWidth={4} />
            {chart.years.map(({ text, x }) => (
              <text
                key={text}
                x={x}
                y={chart.zero + 24}
                textAnchor="middle"
                className="fill-current text-base"
              >
                {text}
              </text>
            ))}
          </svg>
        )}
      </div>
    </Part>
  );
}

function KeptPart({ kept: { says, ways } }: { kept: NonNullable<CustomerContent["kept"]> }) {
  return (
    <Part title="How long you keep it">
      <p className="font-serif">
        <Spans spans={says} />
      </p>
      <ul className="mt-2 grid grid-cols-[repeat(auto-fit,minmax(min(15rem,100%),1fr))] gap-4">
        {ways.map(({ name, net, aMonth, isLeast }) => (
          <li key={name} className="rounded-box border-2 border-base-300 px-5 py-3">
            <h3 className="font-sans font-semibold">
              {name} {isLeast && <span className="whitespace-nowrap text-success">◂ least</span>}
            </h3>
            <p className="font-semibold font-serif text-[1.6em] leading-tight">{net}</p>
            <p className="text-faint">{aMonth} a month</p>
          </li>
        ))}
      </ul>
    </Part>
  );
}

function Extras({ extras: { each, withAll } }: { extras: NonNullable<CustomerContent["extras"]> }) {
  return (
    <Part title="Extras, one by one">
      <table className="w-full">
        <thead>
          <tr className="text-faint">
            <th scope="col" className="text-left font-normal">
              each is your own choice
            </th>
            <th scope="col" className="text-right font-normal">
              price
            </th>
            <th scope="col" className="text-right font-normal">
              of each payment
            </th>
          </tr>
        </thead>
        <tbody>
          {each.map(({ name, price, aPayment }) => (
            <tr key={name} className="border-base-300 border-t">
              <th scope="row" className="py-1 text-left font-semibold">
                {name}
              </th>
              <td className="text-right">{price}</td>
              <td className="text-right">{aPayment}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-faint">With all of them each payment is {withAll}.</p>
    </Part>
  );
}
