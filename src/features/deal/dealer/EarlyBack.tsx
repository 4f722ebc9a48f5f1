import { scaleLinear } from "d3-scale";
import { area, curveStepAfter } from "d3-shape";
import { useDeferredValue, useMemo, useRef, useState } from "react";
import { chargebackAfter } from "@/core";
import { type DealerOfOption, reserveInWords } from "@/exchange/dealer";
import { amountIn } from "@/exchange/notation";
import { AmountGrid } from "@/features/figures/AmountGrid";
import { useWidth } from "@/features/figures/use-width";
import { useNotation } from "../option/option-context";
import type { Earning } from "./use-income";

const HEIGHT = 160;
const MARGIN = { top: 8, right: 12, bottom: 20, left: 74 };

/** What would come back from the dealer, payment by payment: what is earned, and what of it if the customer pays off early. */
export function EarlyBack({ earning: latest, known }: { earning: Earning; known: DealerOfOption }) {
  // A key is answered first, the picture after it.
  const earning = useDeferredValue(latest);
  const { quote, side, earned } = earning;
  const { notation, say } = useNotation();
  const frame = useRef<HTMLElement>(null);
  const width = useWidth(frame, 420);
  const [pointed, setPointed] = useState<number | null>(null);
  const backs = useMemo(
    () =>
      Array.from({ length: quote.payments + 1 }, (_, after) => {
        const back = chargebackAfter(quote, side, earned, after);
        return back.ok ? back.value.total : 0;
      }),
    [quote, side, earned],
  );
  const inAll = Math.max(earned.back.total, 0);
  const most = Math.max(...backs);
  const { reserve } = known;
  const terms = reserve ? reserveInWords(reserve, quote.filled.currency).split("; ")[1] : undefined;
  const money = (minor: number) => amountIn(minor, quote.filled.currency, notation);
  if (most <= 0)
    return <p className="text-faint text-sm">Nothing comes back where the customer pays off early.</p>;
  const right = width - MARGIN.right;
  const foot = HEIGHT - MARGIN.bottom;
  const across = scaleLinear([0, quote.payments], [MARGIN.left, right]);
  const up = scaleLinear([0, Math.max(most, inAll)], [foot, MARGIN.top]).nice(3);
  const path = area<number>()
    .x((_, after) => across(after))
    .y0(foot)
    .y1(back => up(back))
    .curve(curveStepAfter)(backs);
  const said =
    pointed === null
      ? `${money(inAll)} earned; comes back, if paid off with payment`
      : `payment ${pointed}: ${money(backs[pointed] ?? 0)} comes back, ${money(inAll - (backs[pointed] ?? 0))} stays`;
  const place = (x: number) => Math.min(Math.max(Math.round(across.invert(x)), 0), quote.payments);
  return (
    <figure ref={frame} className="m-0">
      <figcaption className="text-faint text-sm">{terms ? say(terms) : "of extras, by time"}</figcaption>
      <p aria-live="polite" className="text-faint text-xs">
        {said}
      </p>
      <svg
        role="img"
        tabIndex={0}
        aria-label={`What comes back where the customer pays off early: ${money(backs[0] ?? 0)} at the start, ${money(backs[Math.floor(quote.payments / 2)] ?? 0)} with payment ${Math.floor(quote.payments / 2)}. Left and right go from payment to payment.`}
        viewBox={`0 0 ${width} ${HEIGHT}`}
        height={HEIGHT}
        className="block w-full touch-pan-y text-faint"
        onPointerMove={event =>
          setPointed(place(event.clientX - event.currentTarget.getBoundingClientRect().left))
        }
        onPointerLeave={() => setPointed(null)}
        onKeyDown={event => {
          const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
          if (step === undefined) return;
          event.preventDefault();
          setPointed(Math.min(Math.max((pointed ?? 0) + step, 0), quote.payments));
        }}
      >
        <AmountGrid
          lines={up.ticks(3).map(tick => ({ y: up(tick), text: money(tick).replace(/[.,]\d+$/, "") }))}
          left={MARGIN.left}
          right={right}
        />
        <line
          x1={MARGIN.left}
          x2={right}
          y1={up(inAll)}
          y2={up(inAll)}
          stroke="var(--color-success)"
          strokeDasharray="5 4"
        />
        <path
          d={path ?? ""}
          fill="var(--color-info)"
          fillOpacity={0.16}
          stroke="var(--color-info)"
          strokeWidth={2}
        />
        {pointed !== null && (
          <line
            x1={across(pointed)}
            x2={across(pointed)}
            y1={MARGIN.top}
            y2={foot}
            stroke="var(--color-info)"
          />
        )}
        {across.ticks(6).map(tick => (
          <text
            key={tick}
            x={across(tick)}
            y={HEIGHT - 5}
            textAnchor="middle"
            className="fill-current text-xs"
          >
            {tick}
          </text>
        ))}
      </svg>
    </figure>
  );
}
