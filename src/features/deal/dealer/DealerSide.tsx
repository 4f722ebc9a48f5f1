import { type ReactNode, useEffect, useState } from "react";
import { createPortal } from "react-dom";
import { type Income, isFlatOnly } from "@/core";
import type { DealerOfOption } from "@/exchange/dealer";
import { withOptional } from "@/exchange/members";
import { amountIn } from "@/exchange/notation";
import type { SettingsDealer } from "@/exchange/settings";
import { dealerApi } from "@/features/api/dealer";
import { useCustomerSlot } from "@/features/dealer-side/customer-slot";
import { closeSide } from "@/features/dealer-side/keep-side";
import { useMinutesLeft } from "@/features/dealer-side/SidePlaces";
import { SaveStatusLine } from "@/features/saving/SaveStatusLine";
import { useDesk } from "../desk/desk-context";
import { useIsFrozen, useNotation, useOption } from "../option/option-context";
import { withInputsOf } from "../options/option-changes";
import { useMarks } from "../parts/use-marks";
import { ApplicantFields } from "./ApplicantFields";
import { useBeyondApproval } from "./approvals";
import { ChargedBackLines } from "./ChargedBackLines";
import { DealerHistory } from "./DealerHistory";
import { DealerPapers } from "./DealerPapers";
import { EarlyBack } from "./EarlyBack";
import { EarnsIt } from "./EarnsIt";
import { ExtraChargebacks } from "./ExtraChargebacks";
import { IncomeLines } from "./IncomeLines";
import { KnownAt, KnownField } from "./KnownField";
import { LenderAnswers } from "./LenderAnswers";
import { Labelled, LenderTerms } from "./LenderTerms";
import { Spread } from "./Spread";
import { TakenProgram } from "./TakenProgram";
import { useDealerPart } from "./use-dealer-part";
import { useIncome } from "./use-income";

const NOTHING: DealerOfOption = {};

/**
 * What the customer never sees of the open option: what it earns, and what that is reckoned from. It is asked for when the
 * dealer's side is opened, and gone from the page when that is closed.
 */
export function DealerSide({ dealId }: { dealId: string }) {
  const { state } = useDesk();
  const { option } = useOption();
  const { notation } = useNotation();
  const { dealer, status, change, keepMine, takeTheirs } = useDealerPart(dealId);
  const house = useHouse();
  const known = dealer?.options?.[state.open] ?? NOTHING;
  const earning = useIncome(option, known, state.heading.place);
  useMarks(useBeyondApproval(earning, known.lenderAnswers));
  const put = (next: DealerOfOption) =>
    change({ ...dealer, options: { ...dealer?.options, [state.open]: next } });
  const slot = useCustomerSlot();
  const applicant = dealer && (
    <ApplicantFields
      applicant={dealer.applicant ?? {}}
      put={next => change(withOptional(dealer, "applicant", next))}
    />
  );
  return (
    // What is printed may be handed over.
    <section
      aria-labelledby="dealer-side-title"
      className="rounded-box border border-info border-dashed bg-base-100 print:hidden"
    >
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 border-base-300 border-b px-4 py-2">
        <h2 id="dealer-side-title" className="font-semibold text-lg">
          What this option earns
        </h2>
        {earning && dealer && <InShort earned={earning.earned} />}
        <span className="grow" />
        <SaveStatusLine status={status} unreadable={false} />
        <ClosesSoon />
      </div>
      {status.kind === "conflict" && (
        <p role="alert" className="flex flex-wrap items-center gap-3 px-4 text-error">
          Somebody else has changed the same figure meanwhile.
          <button type="button" className="btn btn-sm" onClick={() => keepMine(status.theirs)}>
            Keep mine
          </button>
          <button type="button" className="btn btn-sm" onClick={() => takeTheirs(status.theirs)}>
            Take theirs
          </button>
        </p>
      )}
      {!dealer && <p className="px-4 py-2 text-faint">Opening …</p>}
      {dealer && known.program && <TakenProgram {...{ dealId, known, dealer, change }} />}
      {dealer && !earning && (
        <p className="px-4 py-2 text-faint">What it earns is shown once the option has an answer.</p>
      )}
      {dealer && earning && (
        // Each option has its own fields: what was typed in one is not the next one's.
        <KnownAt key={state.open} value={{ currency: option.inputs.currency, notation }}>
          <div className="grid xl:grid-cols-[3fr_2fr]">
            <div className="px-4 py-1">
              <IncomeLines id={state.open} {...{ earning, known, put }} />
            </div>
            <div className="flex flex-col gap-3 border-base-300 px-4 py-2 max-xl:border-t xl:border-l">
              <LenderField />
              <h3 className="font-semibold">If the customer pays off early</h3>
              <EarlyBack earning={earning} known={known} />
              <EarnsIt earning={earning} />
              <Spread {...{ earning, known, put, house }} />
            </div>
          </div>
          <Part name="How the lender pays, and the officer’s share">
            <LenderTerms terms={known} put={put} isFlatOnly={isFlatOnly(earning.place)} />
            <div className="mt-2 flex flex-col gap-1">
              <ExtraChargebacks id={state.open} known={known} put={put} />
            </div>
          </Part>
          <Part name={`Lenders’ answers: ${known.lenderAnswers?.length ?? 0}`}>
            <LenderAnswers {...{ earning, known, put }} lender={option.inputs.lender} />
          </Part>
          <Part name={`What was charged back: ${known.chargedBack?.length ?? 0}`}>
            <ChargedBackLines known={known} put={put} />
          </Part>
          {slot ? (
            createPortal(applicant, slot)
          ) : (
            <Part name="The customer’s score, income and debts">{applicant}</Part>
          )}
          <Part name="What was changed here">
            <DealerHistory dealId={dealId} dealer={dealer} />
          </Part>
          <DealerPapers dealId={dealId} dealer={dealer} />
        </KnownAt>
      )}
    </section>
  );
}

/** Who lends: of the option itself, for the customer may see it. */
function LenderField() {
  const { state, edit } = useDesk();
  const { option } = useOption();
  const { inputs } = option;
  if (useIsFrozen()) return inputs.lender ? <p>Lender: {inputs.lender}</p> : null;
  return (
    <Labelled name="Lender">
      <KnownField
        label="Lender"
        of="words"
        value={inputs.lender}
        put={lender => edit(withInputsOf(state.open, withOptional(inputs, "lender", lender)))}
        className="w-44"
      />
    </Labelled>
  );
}

/** What it earns, in one line that is in view whatever stands below. */
function InShort({ earned }: { earned: Income }) {
  const { notation } = useNotation();
  const { option } = useOption();
  const money = (minor: number | null) =>
    minor === null ? "not known" : amountIn(minor, option.inputs.currency, notation);
  return (
    <p className="text-sm">
      <span className="text-faint">front</span> {money(earned.front.total)}{" "}
      <span className="text-faint">back</span> {money(earned.back.total)}{" "}
      <span className="text-faint">in all</span> <b className="text-base">{money(earned.total)}</b>
    </p>
  );
}

/** What the house has settled of it. */
function useHouse(): SettingsDealer {
  const [house, setHouse] = useState<SettingsDealer>({});
  useEffect(() => {
    void dealerApi.settings().then(answer => {
      if (answer.kind === "done") setHouse(answer.value.dealer);
    });
  }, []);
  return house;
}

/** That it is open, and for how long yet; a press closes it. */
function ClosesSoon() {
  const minutes = useMinutesLeft();
  return (
    <button
      type="button"
      title="Ctrl ."
      className="cursor-pointer rounded-full border border-info border-dashed px-3 py-0.5 font-semibold text-info text-xs"
      onClick={closeSide}
    >
      dealer’s side open · closes in {minutes} min<span className="sr-only">; close it now</span>
    </button>
  );
}

/** A part of it that is opened now and then; what is in it is drawn only then. */
function Part({ name, children }: { name: string; children: ReactNode }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <details
      className="border-base-300 border-t px-4 py-1.5"
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
    >
      <summary className="cursor-pointer font-semibold text-primary text-sm">{name}</summary>
      {isOpen && <div className="py-1.5">{children}</div>}
    </details>
  );
}
