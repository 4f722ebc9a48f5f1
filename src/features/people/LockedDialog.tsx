import { LockKeyhole } from "lucide-react";
import { type FormEvent, useEffect, useLayoutEffect, useRef, useState } from "react";
import { signInApi } from "@/features/api/people";
import { reasonOf } from "@/features/api/reason-of";
import { PasswordField } from "./PasswordField";

type Props = {
  /** Whose screen it is. */
  name: string;
  /** Whether the sign-in has ended, so that no password opens it any more. */
  isOver: boolean;
  onOver: () => void;
  onOpened: () => void;
};

/** Stands before everything that is on a locked screen. What was typed is still there when it opens. */
export function LockedDialog({ name, isOver, onOver, onOpened }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const [password, setPassword] = useState("");
  const [trouble, setTrouble] = useState("");
  useLayoutEffect(() => {
    const { dataset } = document.documentElement;
    dataset.locked = "";
    return () => {
      delete dataset.locked;
    };
  }, []);
  useEffect(() => {
    const { current } = dialog;
    // Whatever dialog was open stays behind it.
    current?.showModal();
    return () => current?.close();
  }, []);
  const open = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await signInApi.unlock(password);
    setPassword("");
    if (answer.kind === "done") return onOpened();
    if (answer.kind === "failing") return onOver();
    setTrouble(reasonOf(answer));
  };
  return (
    <dialog
      ref={dialog}
      className="modal bg-base-200"
      data-lock=""
      aria-labelledby="locked-title"
      onCancel={event => event.preventDefault()}
    >
      <div className="modal-box max-w-sm">
        <h2 id="locked-title" className="flex items-center gap-2 font-semibold text-xl">
          <LockKeyhole size={20} aria-hidden="true" />
          {isOver ? "Signed out" : "Locked"}
        </h2>
        {isOver ? (
          <p className="mt-2">
            The sign-in of {name} has ended. What was typed and not saved is kept in this browser until it can
            be.
          </p>
        ) : (
          <form className="mt-2 grid gap-3" onSubmit={event => void open(event)}>
            <p>This screen is {name}’s. Everything is as it was left, behind it.</p>
            <PasswordField
              label="Password"
              value={password}
              onChange={setPassword}
              trouble={trouble}
              isFirst
            />
            <button type="submit" className="btn btn-primary">
              Open it
            </button>
          </form>
        )}
        <p className="mt-4">
          <a className="text-primary underline" href={signInAddress()}>
            {isOver ? "Sign in" : "Somebody else signs in"}
          </a>
        </p>
      </div>
    </dialog>
  );
}

/** Where one signs in, to come back here. */
const signInAddress = () => `/sign-in?to=${encodeURIComponent(`${location.pathname}${location.search}`)}`;
