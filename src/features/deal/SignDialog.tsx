import { type ReactNode, Suspense, useEffect, useRef } from "react";
import { inNotation } from "@/exchange/notation";
import { useMay } from "@/features/people/me-context";
import { useDesk } from "./desk/desk-context";
import type { FieldName } from "./fields";
import { drawnOf } from "./kinds/desks";
import { fieldIn, notationIn } from "./option";
import { OptionProvider } from "./option/option-context";
import { type CalledOption, useOptionActions, useOptions } from "./options/use-options";
import { savedNow } from "./papers/saved-now";
import { ToRelease } from "./people/ToRelease";
import { useToRelease } from "./people/use-to-release";

const doNothing = () => {};

/** Asks before the chosen option is signed, with its sentence and its figures; or says why it cannot be. */
export function SignDialog({ onClose }: { onClose: () => void }) {
  const { dispatch } = useDesk();
  const options = useOptions();
  const { choose } = useOptionActions();
  const maySign = useMay("signDeals");
  const { dealId, version } = savedNow;
  const { open: toRelease, look } = useToRelease(maySign ? dealId : undefined);
  const dialog = useRef<HTMLDialogElement>(null);
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    dialog.current?.showModal();
    // Not a button: a key that was meant for a field must sign nothing.
    heading.current?.focus();
  }, []);
  const chosen = options.find(({ isChosen }) => isChosen);
  const open = options.find(({ isOpen }) => isOpen);
  if (!chosen) return null;
  const reason = maySign ? whyNot(chosen, options) : <p className="mt-2">Signing a deal is an officer’s.</p>;
  const isReleased = toRelease !== undefined && toRelease.length === 0;
  const { id, state } = chosen;
  const { Signed } = drawnOf(state.kind);
  const named = (option: CalledOption) => `option ${options.indexOf(option) + 1}, “${option.called}”`;
  const sign = () => {
    dialog.current?.close();
    dispatch({ type: "heading", change: { status: "signed" } });
  };
  return (
    <dialog ref={dialog} className="modal" aria-labelledby="sign-title" onClose={onClose}>
      <div className="modal-box max-w-3xl">
        <h2 id="sign-title" ref={heading} tabIndex={-1} className="font-semibold text-xl">
          {reason ? "This option cannot be signed" : "Sign this option?"}
        </h2>
        {options.length > 1 && (
          <p className="mt-1">
            Signed is {named(chosen)}, which is chosen.
            {open && open !== chosen && ` Open is ${named(open)}.`}
          </p>
        )}
        {reason ?? (
          <OptionProvider value={{ option: state, act: doNothing, isFrozen: true }}>
            <Suspense fallback={<p className="mt-3 text-faint">Opening …</p>}>
              <div key={id} className="mt-3 grid gap-3">
                <Signed />
              </div>
            </Suspense>
            <p className="mt-3 text-faint text-sm">
              Its figures stay as they are from then on, until the deal is reopened.
            </p>
          </OptionProvider>
        )}
        {!reason && !isReleased && (
          <div className="mt-3 rounded-box border border-warning px-3 py-2">
            {toRelease ? (
              <ToRelease
                dealId={dealId ?? ""}
                version={version ?? 0}
                open={toRelease}
                before="signed"
                onReleased={look}
              />
            ) : (
              <p className="text-faint">Looking at what has to be released …</p>
            )}
          </div>
        )}
        <div className="mt-4 flex flex-wrap gap-2">
          {!reason && isReleased && (
            <button type="button" className="btn btn-primary btn-sm" onClick={sign}>
              {options.length > 1 ? `Sign option ${options.indexOf(chosen) + 1}` : "Sign it"}
            </button>
          )}
          {open && open !== chosen && (
            <button type="button" className="btn btn-sm" onClick={() => choose(open.id)}>
              Choose option {options.indexOf(open) + 1} instead
            </button>
          )}
          <form method="dialog" className="ml-auto">
            <button type="submit" className="btn btn-ghost btn-sm">
              Not now
            </button>
          </form>
        </div>
      </div>
    </dialog>
  );
}

/** Why an option cannot be signed: what is not read in any option, or that it has no answer. */
function whyNot(chosen: CalledOption, options: readonly CalledOption[]): ReactNode | undefined {
  const unread = options.flatMap(({ state, called }) =>
    (Object.entries(state.errors) as [FieldName, string][]).map(([field, sentence]) => ({
      field,
      label: fieldIn(state, field).label,
      sentence: inNotation(sentence, notationIn(state)),
      where: options.length > 1 ? ` of “${called}”` : "",
    })),
  );
  if (unread.length > 0) {
    return (
      <ul className="mt-2">
        {unread.map(({ field, label, sentence, where }) => (
          <li key={field + where}>
            {label}
            {where}: {sentence}
          </li>
        ))}
      </ul>
    );
  }
  const { answer } = chosen.state;
  if (answer.ok) return undefined;
  return (
    <p className="mt-2">It has no answer. {inNotation(answer.failure.sentence, notationIn(chosen.state))}</p>
  );
}
