"use client";

import { type ReactNode, useState } from "react";
import type { SignInReply } from "@/server/contract";
import { ByCode } from "./ByCode";
import { ByLink } from "./ByLink";
import { ByName } from "./ByName";
import { SetUpCodes } from "./SetUpCodes";

/** What is to be done at the door: who it is, that codes are set up, or a password by a link. */
export type AtTheDoor =
  | { kind: "name"; house: string | null }
  | { kind: "codes" }
  | { kind: "link"; link: string; name: string | null };

type Props = {
  house: string;
  door: AtTheDoor;
  /** Where one comes from and goes back to, a path of ours. */
  to: string;
  /** What was wrong before; empty where nothing was. */
  trouble: string;
};

/** The way in: name and password, a code where it is asked for, or a password by a link. */
export function SignInScreen({ house, door, to, trouble }: Props) {
  const [isCodeAsked, setCodeAsked] = useState(false);
  const go = () => {
    // What the one before had open, or could undo, is not for whoever comes after.
    sessionStorage.clear();
    location.assign(to);
  };
  const entered = ({ step }: SignInReply) => (step === "code" ? setCodeAsked(true) : go());
  return (
    <main className="grid min-h-dvh place-items-center p-4">
      <div className="card-paper w-full max-w-md px-6 py-5">
        <p className="flex items-center gap-3 font-semibold font-serif text-lg">
          <span
            aria-hidden="true"
            className="grid size-9 place-items-center rounded-box bg-primary font-bold text-primary-content"
          >
            K
          </span>
          {house || "Kellux"}
        </p>
        {trouble && (
          <p role="alert" className="mt-3 text-error">
            {trouble}
          </p>
        )}
        {stepOf({ door, isCodeAsked, entered, go })}
      </div>
    </main>
  );
}

type Step = {
  door: AtTheDoor;
  isCodeAsked: boolean;
  entered: (reply: SignInReply) => void;
  go: () => void;
};

function stepOf({ door, isCodeAsked, entered, go }: Step): ReactNode {
  if (isCodeAsked) return <ByCode onEntered={entered} />;
  if (door.kind === "codes") return <SetUpCodes onDone={go} />;
  if (door.kind === "link") return <ByLink link={door.link} name={door.name} onEntered={entered} />;
  return <ByName house={door.house} onEntered={entered} />;
}
