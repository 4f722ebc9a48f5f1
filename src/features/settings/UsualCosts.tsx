import { useEffect, useRef, useState } from "react";
import { isFlatOnly } from "@/core";
import { withOptional } from "@/exchange/members";
import type { Notation } from "@/exchange/notation";
import type { SettingsDealer, UsualExtra } from "@/exchange/settings";
import { dealerApi } from "@/features/api/dealer";
import { KnownAt, KnownField } from "@/features/deal/dealer/KnownField";
import { Labelled, LenderTerms } from "@/features/deal/dealer/LenderTerms";
import { useSide } from "@/features/dealer-side/side-state";
import type { SettingsDealerReply } from "@/server/contract";

type Props = {
  extras: readonly UsualExtra[];
  currency: string;
  notation: Notation;
  place: string | undefined;
};

/** What the house pays for its usual extras: not on the page before it is asked for, and gone when it is closed. */
export function UsualCosts({ extras, currency, notation, place }: Props) {
  const isSideOpen = useSide();
  const [known, setOpened] = useState<SettingsDealerReply | null>(null);
  // What arrives after the side was closed is not shown.
  const opened = isSideOpen ? known : null;
  const [problem, setProblem] = useState<string | null>(null);
  const saving = useRef<Promise<SettingsDealerReply | null>>(Promise.resolve(null));
  const taken = (answer: Awaited<ReturnType<typeof dealerApi.settings>>) => {
    setProblem(
      answer.kind === "done"
        ? null
        : answer.kind === "away"
          ? "Not kept: the server is away."
          : `Not kept: ${answer.sentence}`,
    );
    return answer.kind === "done" ? answer.value : null;
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: it is asked for when the side opens, and gone when it closes.
  useEffect(() => {
    if (!isSideOpen) return setOpened(null);
    void saving.current.then(async () => {
      saving.current = Promise.resolve(null);
      setOpened(taken(await dealerApi.settings()));
    });
  }, [isSideOpen]);
  // One save after the other, each from the version that the one before has led to.
  const save = (dealer: SettingsDealer) => {
    if (!opened) return;
    setOpened({ ...opened, dealer });
    saving.current = saving.current.then(async last =>
      taken(await dealerApi.saveSettings((last ?? opened).version, dealer)),
    );
  };
  const costs = opened?.dealer.extraCosts ?? {};
  return (
    <section aria-labelledby="usual-costs-title" className="card-paper px-4 py-3">
      <div className="flex items-baseline gap-3">
        <h2 id="usual-costs-title" className="font-semibold text-lg">
          Dealer’s side
        </h2>
        <button
          type="button"
          className="btn btn-ghost btn-sm ml-auto"
          onClick={() =>
            void import("@/features/dealer-side/keep-side").then(({ toggleSide }) => toggleSide())
          }
        >
          {opened ? "Close it" : "Open it"} <kbd className="kbd kbd-sm">Ctrl .</kbd>
        </button>
      </div>
      <p className="text-faint text-sm">
        What usual extras cost, and how lenders and officers are paid in a new deal; customers never see it.
      </p>
      {opened && extras.length === 0 && <p className="text-faint text-sm">There is no usual extra yet.</p>}
      {opened && (
        <KnownAt value={{ currency, notation }}>
          <div className="mt-1 grid grid-cols-[1fr_8rem] items-center gap-x-3 gap-y-1">
            {extras.flatMap(({ id = "", name }) => [
              <span key={`name ${id}`}>{name}</span>,
              <KnownField
                key={id}
                label={`Cost of ${name}`}
                of="amount"
                value={costs[id]}
                put={cost => save({ ...opened.dealer, extraCosts: withOptional({ ...costs }, id, cost) })}
                className="w-full"
              />,
            ])}
          </div>
          <div className="mt-2 flex flex-col gap-2 border-base-300 border-t pt-2">
            <div className="flex flex-wrap gap-x-5 gap-y-1">
              <Labelled name="Usual spread, points of rate">
                <KnownField
                  label="Usual spread"
                  of="percent"
                  value={opened.dealer.usualSpread}
                  put={spread => save(withOptional(opened.dealer, "usualSpread", spread))}
                  className="w-20"
                />
              </Labelled>
              <Labelled name="at most">
                <KnownField
                  label="Most spread"
                  of="percent"
                  value={opened.dealer.mostSpread}
                  put={spread => save(withOptional(opened.dealer, "mostSpread", spread))}
                  className="w-20"
                />
              </Labelled>
            </div>
            <LenderTerms terms={opened.dealer} put={save} isFlatOnly={isFlatOnly(place)} />
          </div>
        </KnownAt>
      )}
      {problem && (
        <p role="alert" className="mt-1 text-error text-sm">
          {problem}
        </p>
      )}
    </section>
  );
}
