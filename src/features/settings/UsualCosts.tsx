import { useRef, useState } from "react";
import { withOptional } from "@/exchange/members";
import type { Notation } from "@/exchange/notation";
import type { SettingsDealer, UsualExtra } from "@/exchange/settings";
import { dealerApi } from "@/features/api/dealer";
import { CostField } from "@/features/deal/dealer/CostField";
import type { SettingsDealerReply } from "@/server/contract";

type Props = { extras: readonly UsualExtra[]; currency: string; notation: Notation };

/** What the house pays for its usual extras: not on the page before it is asked for, and gone when it is closed. */
export function UsualCosts({ extras, currency, notation }: Props) {
  const [opened, setOpened] = useState<SettingsDealerReply | null>(null);
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
  const open = async () => {
    await saving.current;
    saving.current = Promise.resolve(null);
    setOpened(taken(await dealerApi.settings()));
  };
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
          onClick={() => (opened ? setOpened(null) : void open())}
        >
          {opened ? "Hide costs" : "Show costs"}
        </button>
      </div>
      <p className="text-faint text-sm">What usual extras cost the dealer; customers never see it.</p>
      {opened && extras.length === 0 && <p className="text-faint text-sm">There is no usual extra yet.</p>}
      {opened && (
        <div className="mt-1 grid grid-cols-[1fr_8rem] items-center gap-x-3 gap-y-1">
          {extras.flatMap(({ id = "", name }) => [
            <span key={`name ${id}`}>{name}</span>,
            <CostField
              key={id}
              label={`Cost of ${name}`}
              amount={costs[id]}
              currency={currency}
              notation={notation}
              onChange={cost => save({ ...opened.dealer, extraCosts: withOptional(costs, id, cost) })}
            />,
          ])}
        </div>
      )}
      {problem && (
        <p role="alert" className="mt-1 text-error text-sm">
          {problem}
        </p>
      )}
    </section>
  );
}
