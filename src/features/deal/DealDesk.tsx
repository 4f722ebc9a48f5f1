"use client";

import { lazy, Suspense, useMemo } from "react";
import type { Settings } from "@/exchange/settings";
import { useIsAlive } from "@/features/shell/WhenAlive";
import type { DealReply } from "@/server/contract";
import { Desk } from "./Desk";
import { openDesk } from "./desk/desk-state";
import { DESKS } from "./kinds/desks";
import type { DeskKinds } from "./option";
import { provideLoaders } from "./option/loading";
import { useKinds } from "./option/use-kinds";

const SignedDesk = lazy(async () => {
  const { SignedNotice, withSigned } = await import("./signed-deal");
  const desk = ({ deal, house, kinds }: DeskProps) => (
    <Desk
      deal={deal}
      house={house}
      opening={document => withSigned(openDesk(document, kinds, house.locale), deal.signing?.quotes ?? [])}
      notice={!deal.deleted && <SignedNotice deal={deal} />}
    />
  );
  return { default: desk };
});

// A deal is a loan or a lease: the screen starts with the code for what it is.
provideLoaders(DESKS);

type Props = {
  /** A {@link DealReply} as JSON: the server that serves everyone would else write each of its values by itself. */
  json: string;
  /** What the house has settled for its deals. */
  house: Settings;
};

/**
 * The deal screen, made in the browser alone: the server that serves everyone computes no deal, and a key before the page
 * is alive would be lost.
 */
export function DealDesk({ json, house }: Props) {
  const isBrowser = useIsAlive();
  const deal = useMemo(
    (): DealReply | undefined => (isBrowser ? JSON.parse(json) : undefined),
    [isBrowser, json],
  );
  const opening = useMemo(() => deal?.document.options.map(({ inputs }) => inputs), [deal]);
  const kinds = useKinds(opening);
  if (!deal || !kinds) return OPENING;
  const Shown = deal.document.status === "signed" ? SignedDesk : QuotedDesk;
  return (
    <Suspense fallback={OPENING}>
      <Shown deal={deal} house={house} kinds={kinds} />
    </Suspense>
  );
}

type DeskProps = { deal: DealReply; house: Settings; kinds: DeskKinds };

function QuotedDesk({ deal, house, kinds }: DeskProps) {
  return <Desk deal={deal} house={house} opening={document => openDesk(document, kinds, house.locale)} />;
}

const OPENING = <p className="p-6 text-faint">Opening the deal …</p>;
