"use client";

import {
  type Dispatch,
  lazy,
  type ReactNode,
  Suspense,
  useCallback,
  useEffect,
  useMemo,
  useReducer,
  useRef,
  useState,
  useSyncExternalStore,
} from "react";
import type { DealChange, DealDocument, DealOption } from "@/exchange/deal-document";
import type { Settings } from "@/exchange/settings";
import { useAutosave } from "@/features/saving/use-autosave";
import type { DealReply } from "@/server/contract";
import { CUSTOMER_FIELD, DealHeader } from "./DealHeader";
import { DeskContext, type Desk as DeskValue } from "./desk/desk-context";
import {
  type DeskAction,
  type DeskState,
  deskDocument,
  deskReducer,
  openDesk,
  openedOption,
} from "./desk/desk-state";
import { KEPT_STEPS } from "./desk/kept-steps-key";
import { useWarmUp } from "./desk/use-warm-up";
import type { MapChoice } from "./map/choice";
import type { OptionAction } from "./option";
import { provideLoaders } from "./option/loaded";
import { OptionContext } from "./option/option-context";
import { useLoaded, whenBothKindsAreLoaded, whenLoaded, whenRestIsLoaded } from "./option/use-loaded";
import { ViewBar } from "./views/ViewBar";
import type { View } from "./views/views";

// Two people seldom change the same, or delete it: the screen starts without the code for it.
const DeletedNotice = lazy(() =>
  import("./DeletedNotice").then(({ DeletedNotice: notice }) => ({ default: notice })),
);
const ConflictDialog = lazy(() =>
  import("./ConflictDialog").then(({ ConflictDialog: dialog }) => ({ default: dialog })),
);
// A deal begins with one option, and with nothing to undo.
const OptionStrip = lazy(() =>
  import("./options/OptionStrip").then(({ OptionStrip: strip }) => ({ default: strip })),
);
const UndoRedo = lazy(() =>
  import("./desk/UndoRedo").then(({ UndoRedo: buttons }) => ({ default: buttons })),
);
const PaymentMap = lazy(() => import("./map/PaymentMap").then(({ PaymentMap: map }) => ({ default: map })));
const LineUp = lazy(() => import("./line-up/LineUp").then(({ LineUp: lineUp }) => ({ default: lineUp })));

// A deal is a loan or a lease: the screen starts with the code for what it is.
provideLoaders({ loan: () => import("./loan/LoanDesk"), lease: () => import("./lease/LeaseDesk") });
const LoanStructure = lazy(() =>
  import("./loan/LoanDesk").then(({ LoanStructure: structure }) => ({ default: structure })),
);
const LoanAnswer = lazy(() =>
  import("./loan/LoanDesk").then(({ LoanAnswer: answer }) => ({ default: answer })),
);
const LeaseStructure = lazy(() =>
  import("./lease/LeaseDesk").then(({ LeaseStructure: structure }) => ({ default: structure })),
);
const LeaseAnswer = lazy(() =>
  import("./lease/LeaseDesk").then(({ LeaseAnswer: answer }) => ({ default: answer })),
);

const LoanPlan = lazy(() => import("./loan/LoanDesk").then(({ LoanPlan: plan }) => ({ default: plan })));
const LeasePlan = lazy(() => import("./lease/LeaseDesk").then(({ LeasePlan: plan }) => ({ default: plan })));

const opened = (part: ReactNode) => (
  <Suspense fallback={<p className="p-4 text-faint">Opening …</p>}>{part}</Suspense>
);

type Props = { deal: DealReply /** What the house has settled for its deals. */; house: Settings };

const never = () => () => {};

/**
 * The deal screen, made in the browser alone: the server that serves everyone computes no deal, and a key before the page
 * is alive would be lost.
 */
export function DealDesk({ deal, house }: Props) {
  const isBrowser = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  const { options } = deal.document;
  const opening = useMemo(
    () => (isBrowser ? options.map(({ inputs }) => inputs) : undefined),
    [isBrowser, options],
  );
  const isReady = useLoaded(opening);
  return isBrowser && isReady ? (
    <Desk deal={deal} house={house} />
  ) : (
    <p className="p-6 text-faint">Opening the deal …</p>
  );
}

/** What needs no more than what the screen starts with: typing must not wait. */
const isPlainAction = ({ type }: OptionAction) => type === "typed" || type === "left";

const withRest = (options: readonly DealOption[] | undefined, go: () => void) =>
  whenLoaded(
    (options ?? []).map(({ inputs }) => inputs),
    go,
  );

/** Changes the deal as a whole, once what its options need is loaded. */
function useEdit(state: DeskState, dispatch: Dispatch<DeskAction>): DeskValue["edit"] {
  const latest = useRef(state);
  latest.current = state;
  return useCallback(
    (change, open) =>
      withRest(change(deskDocument(latest.current)).options, () =>
        dispatch({ type: "document", change, ...(open !== undefined && { open }) }),
      ),
    [dispatch],
  );
}

/** Whether there was ever something to undo on this page. */
function useHasSteps({ steps }: DeskState, dealId: string): boolean {
  const [hadSteps] = useState(() => sessionStorage.getItem(KEPT_STEPS + dealId) !== null);
  const everHad = useRef(hadSteps);
  if (steps.past.length > 0) everHad.current = true;
  return everHad.current;
}

/** The structure and the plan beside the answer. */
function Desk({ deal, house }: Props) {
  const [state, dispatch] = useReducer(deskReducer, deal.document, document =>
    openDesk(document, house.locale),
  );
  const show = useCallback(
    (document: DealDocument) => withRest(document.options, () => dispatch({ type: "open", document })),
    [],
  );
  const merge = useCallback(
    (change: DealChange) => withRest(change.options, () => dispatch({ type: "merged", change })),
    [],
  );
  const document = useMemo(() => deskDocument(state), [state]);
  const saving = useAutosave(deal, document, { show, merge });
  const option = openedOption(state);
  const { kind } = option;
  const act: Dispatch<OptionAction> = useCallback(
    action => {
      const go = () => dispatch({ type: "option", action });
      if (action.type === "kind") whenBothKindsAreLoaded(go);
      else if (kind === "lease" || isPlainAction(action)) go();
      else whenRestIsLoaded(go);
    },
    [kind],
  );
  const again = useCallback(() => dispatch({ type: "option", action: { type: "again" } }), []);
  useWarmUp(again, option.inputs.find === "payment");
  const [view, setView] = useState<View>("repayment");
  const edit = useEdit(state, dispatch);
  const desk = useMemo(() => ({ state, dispatch, edit, house }), [state, edit, house]);
  const hasSteps = useHasSteps(state, deal.id);
  const open = useMemo(() => ({ option, act }), [option, act]);
  const [mapChoice, setMapChoice] = useState<MapChoice | null>(null);
  const isWhole = view === "repayment";
  const isLease = option.kind === "lease";
  const answer = { fileName: document.customer || "New deal", isWhole };
  const isNew = deal.document.customer === "";
  useEffect(() => {
    if (isNew) window.document.getElementById(CUSTOMER_FIELD)?.focus();
  }, [isNew]);
  const { status } = saving;

  return (
    <DeskContext value={desk}>
      <OptionContext value={open}>
        <div data-testid="desk" className="flex min-h-full flex-col gap-3 p-3 md:px-6 lg:h-full">
          <DealHeader status={status}>
            {hasSteps && (
              <Suspense fallback={null}>
                <UndoRedo dealId={deal.id} />
              </Suspense>
            )}
          </DealHeader>
          {status.kind === "conflict" && (
            <Suspense fallback={<p className="text-error">This deal was also changed somewhere else.</p>}>
              <ConflictDialog
                mine={document}
                theirs={status.theirs}
                onKeepMine={() => saving.continueFrom(status.theirs)}
                onTakeTheirs={() => saving.settleOn(status.theirs)}
              />
            </Suspense>
          )}
          {status.kind === "deleted" && (
            <Suspense fallback={<p className="text-error">This deal was deleted.</p>}>
              <DeletedNotice id={deal.id} onBack={saving.continueFrom} />
            </Suspense>
          )}
          {state.options.length > 1 && (
            <Suspense fallback={<div className="h-14" />}>
              <OptionStrip />
            </Suspense>
          )}
          <ViewBar view={view} onView={setView} />
          {view === "lineUp" ? (
            opened(<LineUp />)
          ) : (
            <div className="flex min-h-0 flex-1 flex-col gap-4 lg:flex-row">
              <div
                className={`flex shrink-0 flex-col gap-3 max-lg:order-[-1] lg:max-h-full lg:w-[27rem] lg:self-start ${isWhole ? "" : "lg:overflow-auto"}`}
              >
                <div className={`card-paper flex min-h-0 flex-col ${isWhole ? "" : "shrink-0"}`}>
                  {opened(isLease ? <LeaseStructure /> : <LoanStructure />)}
                </div>
                {!isWhole && opened(isLease ? <LeasePlan /> : <LoanPlan />)}
              </div>
              <div className="flex min-h-0 min-w-0 flex-1 flex-col gap-3 max-lg:contents lg:overflow-auto">
                {opened(isLease ? <LeaseAnswer {...answer} /> : <LoanAnswer {...answer} />)}
                {view === "map" && opened(<PaymentMap choice={mapChoice} onChoice={setMapChoice} />)}
              </div>
            </div>
          )}
        </div>
      </OptionContext>
    </DeskContext>
  );
}
