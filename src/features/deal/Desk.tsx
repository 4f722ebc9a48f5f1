import {
  type Dispatch,
  lazy,
  type ReactNode,
  Suspense,
  startTransition,
  useCallback,
  useEffect,
  useMemo,
  useReducer,
  useRef,
  useState,
} from "react";
import type { WantedFigure } from "@/core/moves";
import { type DealChange, type DealDocument, type DealOption, nameOf } from "@/exchange/deal-document";
import type { Settings } from "@/exchange/settings";
import { focusAfterReload, reloadTo } from "@/features/focus/after-reload";
import { useMay } from "@/features/people/me-context";
import type { Merging } from "@/features/saving/autosave";
import { useAutosave } from "@/features/saving/use-autosave";
import { useAskBeforeLeaving } from "@/features/typing/ask-before-leaving";
import type { DealReply } from "@/server/contract";
import { CUSTOMER_FIELD, DealHeader } from "./DealHeader";
import { DealTools } from "./DealTools";
import { DeskContext, type Desk as DeskValue, FrameContext } from "./desk/desk-context";
import { type DeskAction, type DeskState, deskDocument, deskReducer, openedOption } from "./desk/desk-state";
import { holdsTogether } from "./desk/holds-together";
import { KEPT_STEPS } from "./desk/kept-steps-key";
import { useWarmUp } from "./desk/use-warm-up";
import type { View } from "./desk/views";
import { type DeskKinds, hasErrors, type OptionAction } from "./option";
import { onArrival } from "./option/loading";
import { OptionProvider } from "./option/option-context";
import { whenThere, whenWhole } from "./option/use-kinds";
import { DeskBars, DeskBody } from "./views/DeskBody";

// Two people seldom change the same, or delete it: the screen starts without the code for it.
const DeletedNotice = lazy(() =>
  import("./DeletedNotice").then(({ DeletedNotice: notice }) => ({ default: notice })),
);
const ConflictDialog = lazy(() =>
  import("./ConflictDialog").then(({ ConflictDialog: dialog }) => ({ default: dialog })),
);

// What would have to move is asked for once a wish is typed.
const Moves = lazy(() => import("./bargain/Moves").then(({ Moves: moves }) => ({ default: moves })));

type Props = {
  deal: DealReply;
  /** What the house has settled for its deals. */
  house: Settings;
  /** The deal as it opens. */
  opening: (document: DealDocument) => DeskState;
  /** What is said above it. */
  notice?: ReactNode;
};

/** What needs no more than what the screen starts with: typing must not wait. */
const isPlainAction = ({ type }: OptionAction) => type === "typed" || type === "left";

const withKinds = (options: readonly DealOption[] | undefined, go: (kinds: DeskKinds) => void) =>
  whenThere(
    (options ?? []).map(({ inputs }) => inputs),
    go,
  );

/** A signed deal is looked at, and nothing of it changed. */
const signedReducer: typeof deskReducer = (state, action) => {
  const isAllowed = action.type === "merged" ? isAsidesAlone(action.change) : ON_SIGNED.has(action.type);
  return isAllowed ? deskReducer(state, action) : state;
};

/** What is tried on it is never agreed, so that it goes on. */
const ON_SIGNED: ReadonlySet<DeskAction["type"]> = new Set(["select", "arrived", "asides"]);

const isAsidesAlone = ({ heading, order, options }: DealChange) => !heading && !order && !options;

/** The desk as it is at the moment of asking. */
function useNow(state: DeskState): () => DeskState {
  const latest = useRef(state);
  latest.current = state;
  return useCallback(() => latest.current, []);
}

/** Changes the deal as a whole, once what its options need is loaded. */
function useEdit(now: () => DeskState, dispatch: Dispatch<DeskAction>): DeskValue["edit"] {
  return useCallback(
    (change, open) =>
      withKinds(change(deskDocument(now())).options, kinds =>
        dispatch({ type: "document", change, kinds, ...(open !== undefined && { open }) }),
      ),
    [now, dispatch],
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
export function Desk({ deal, house, opening, notice }: Props) {
  const mayChange = useMay("changeDeals");
  const isSigned = deal.document.status === "signed" && !deal.deleted;
  const isFrozen = isSigned || !mayChange;
  const [state, dispatch] = useReducer(isFrozen ? signedReducer : deskReducer, deal.document, opening);
  const open = useCallback(
    (document: DealDocument) =>
      withKinds(document.options, kinds => dispatch({ type: "open", document, kinds })),
    [],
  );
  const merge = useCallback(
    (change: DealChange, { mergeInputs }: Merging) => {
      // One that was signed here is open again elsewhere.
      if (isFrozen && !isAsidesAlone(change)) location.reload();
      else withKinds(change.options, kinds => dispatch({ type: "merged", change, mergeInputs, kinds }));
    },
    [isFrozen],
  );
  const document = useMemo(() => deskDocument(state), [state]);
  const saving = useAutosave(deal, document, { show: open, merge, holds: holdsTogether });
  const option = openedOption(state);
  const { kind } = option;
  const act: Dispatch<OptionAction> = useCallback(
    action => {
      const go = () => dispatch({ type: "option", action });
      if (action.type === "kind")
        whenWhole([kind, action.kind], ({ [action.kind]: to }) =>
          dispatch({ type: "option", action: to ? { ...action, to } : action }),
        );
      else if (isPlainAction(action)) go();
      else whenWhole([kind], go);
    },
    [kind],
  );
  const again = useCallback(() => dispatch({ type: "option", action: { type: "again" } }), []);
  useEffect(() => onArrival(kinds => dispatch({ type: "arrived", kinds })), []);
  useWarmUp(again, option.inputs.find === "payment" && !isFrozen);
  const now = useNow(state);
  const edit = useEdit(now, dispatch);
  const [view, setView] = useState<View>("desk");
  // What is in view stays until the next is there: a word between them would keep that back for a third of a second.
  const show = useCallback((next: View) => startTransition(() => setView(next)), []);
  const [wished, wish] = useState<WantedFigure>("payment");
  const [wishSaid, sayWish] = useState<string | null>(null);
  const ways = useMemo(
    () => ({ dispatch, edit, house, view, show, wished, wish, wishSaid, sayWish, Moves }),
    [edit, house, view, show, wished, wishSaid],
  );
  const desk = useMemo(() => ({ ...ways, state }), [ways, state]);
  const { heading } = state;
  const count = state.options.length;
  const frame = useMemo(() => ({ ...ways, heading, count, kind, now }), [ways, heading, count, kind, now]);
  const hasSteps = useHasSteps(state, deal.id) && !isFrozen;
  const opened = useMemo(() => ({ option, act, isFrozen }), [option, act, isFrozen]);
  const [isOpen, setOpen] = useState(false);
  useEffect(focusAfterReload, []);
  const isNew = deal.document.customer === undefined;
  useEffect(() => {
    if (isNew) window.document.getElementById(CUSTOMER_FIELD)?.focus();
  }, [isNew]);
  const { status } = saving;
  const isUnreadable = state.options.some(each => hasErrors(each.state.errors));
  useAskBeforeLeaving(isUnreadable);
  const fileName = nameOf(document.customer) || "New deal";
  // What it was signed with is what is shown from now on.
  const isJustSigned = !isFrozen && document.status === "signed" && status.kind === "saved";
  useEffect(() => {
    if (isJustSigned) reloadTo("[aria-label=Signed]");
  }, [isJustSigned]);

  return (
    <FrameContext value={frame}>
      <DeskContext value={desk}>
        <OptionProvider value={opened}>
          <div data-testid="desk" className="desk min-h-full p-3 md:px-5 md:py-2.5 lg:h-full">
            <DealHeader dealId={deal.id} isOpen={isOpen} onOpen={setOpen} />
            <div className="[grid-area:notices]">
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
              {notice}
            </div>
            <DeskBody dealId={deal.id} fileName={fileName} />
            {/* After the figures, for Tab: an officer goes from the customer to the price. */}
            <DealTools
              dealId={deal.id}
              fileName={fileName}
              status={status}
              others={saving.others}
              isUnreadable={isUnreadable}
              hasSteps={hasSteps}
              isOpen={isOpen}
            />
            <DeskBars isOpen={isOpen} />
          </div>
        </OptionProvider>
      </DeskContext>
    </FrameContext>
  );
}
