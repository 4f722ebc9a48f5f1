import { useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import { FIRST_SHOWN, type PartShown } from "@/exchange/customer-screen/parts";
import { CustomerScreen } from "@/features/customer-screen/CustomerScreen";
import { focusSoon } from "@/features/focus/focus-soon";
import { useKeys } from "@/features/focus/use-keys";
import { notify } from "@/features/notices/notify";
import { useDesk } from "../desk/desk-context";
import { useHorizon } from "../horizon/use-horizon";
import { useNotation } from "../option/option-context";
import { useOptions } from "../options/use-options";
import { CustomerPanel } from "./CustomerPanel";
import { type KeptTold, useContent } from "./use-content";
import { useSender } from "./use-sender";

/** What was asked of the customer's screen: its panel, or that it stands over the desk. */
export type CustomerAsk = { what: "panel" | "here"; count: number };

type Props = { dealId: string; asked: CustomerAsk };

/** The customer's screen as the officer has it: what is on it, its window, and the same over the desk. */
export function CustomerDesk({ dealId, asked }: Props) {
  const { state, house } = useDesk();
  const { notation } = useNotation();
  const options = useOptions();
  const [parts, setParts] = useState<ReadonlySet<PartShown>>(new Set(FIRST_SHOWN));
  const [hidden, setHidden] = useState<ReadonlySet<string>>(new Set());
  const [frozen, setFrozen] = useState<{ asOf: string } | null>(null);
  const [hasPanel, setPanel] = useState(false);
  const [isHere, setHere] = useState(false);
  const [takenAt, setTakenAt] = useState<number | null>(null);
  const [kept, setKept] = useState<KeptTold | null>(null);
  useEffect(() => {
    if (asked.what === "panel") setPanel(now => !now);
    else setHere(now => !now);
  }, [asked]);
  const names = useMemo(() => new Map(options.map(({ id, called }) => [id, called])), [options]);
  const live = useContent({
    state,
    names,
    parts,
    hidden,
    house: house.houseName,
    notation,
    kept: parts.has("kept") ? kept : null,
  });
  const held = useRef(live);
  if (!frozen) held.current = live;
  const asOf = frozen?.asOf ?? null;
  useSender(dealId, held.current, asOf, takenAt);
  const openWindow = () => {
    setTakenAt(Date.now());
    const opened = window.open("/customer", "kellux-customer", "popup,width=1280,height=800");
    if (!opened) notify.error("The browser keeps the window from opening; allow it for this address.");
  };
  return (
    <>
      {parts.has("kept") && <KeptFor onKept={setKept} />}
      {hasPanel && (
        <CustomerPanel
          options={options}
          parts={parts}
          onParts={setParts}
          hidden={hidden}
          onHidden={setHidden}
          asOf={asOf}
          onFreeze={isFrozen =>
            setFrozen(
              isFrozen
                ? {
                    asOf: new Date().toLocaleTimeString(notation.locale, {
                      hour: "2-digit",
                      minute: "2-digit",
                    }),
                  }
                : null,
            )
          }
          onWindow={openWindow}
          onHere={() => {
            setPanel(false);
            setHere(true);
          }}
          onClose={isBack => {
            setPanel(false);
            if (isBack) focusSoon("[data-customer-screen]");
          }}
        />
      )}
      {isHere && held.current && (
        <Here onClose={() => setHere(false)}>
          <CustomerScreen content={held.current} asOf={asOf} />
        </Here>
      )}
    </>
  );
}

/** What keeping the vehicle comes to, while that is on the screen. */
function KeptFor({ onKept }: { onKept: (kept: KeptTold | null) => void }) {
  const { told, file, isOld } = useHorizon(null);
  const kept = told?.kept;
  // An answer goes with what it was asked of.
  useEffect(() => {
    if (!isOld) onKept(kept ? { kept, file } : null);
  }, [kept, file, isOld, onKept]);
  return null;
}

/** The customer's screen over the desk, for one monitor: nothing else of the page can be reached while it stands. */
function Here({ onClose, children }: { onClose: () => void; children: React.ReactNode }) {
  const dialog = useRef<HTMLDialogElement>(null);
  // Before it is gone, or the focus would not be given back.
  useLayoutEffect(() => {
    const { current } = dialog;
    current?.showModal();
    return () => current?.close();
  }, []);
  useKeys(event => {
    if (event.key !== "Escape") return;
    event.preventDefault();
    onClose();
  });
  return (
    <dialog
      ref={dialog}
      aria-label="Customer screen over the desk"
      className="m-0 h-dvh max-h-none w-screen max-w-none overflow-auto bg-base-100 text-base-content print:hidden"
      onClose={onClose}
    >
      {children}
      <p className="sr-only">F9 or Escape goes back to the desk.</p>
    </dialog>
  );
}
