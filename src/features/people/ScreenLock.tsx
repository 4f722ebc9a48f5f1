import { useCallback, useEffect, useRef, useState } from "react";
import type { Person } from "@/exchange/people";
import { SIGN_IN_NEEDED } from "@/features/api/client";
import { signInApi } from "@/features/api/people";
import { closeSide } from "@/features/dealer-side/keep-side";
import { useKeys } from "@/features/focus/use-keys";
import { LockedDialog } from "./LockedDialog";
import { LOCK_ASKED, LOCK_CHANNEL, type LockMessage } from "./lock-state";

const MINUTE_MS = 60_000;
const LOOK_MS = 1000;
/** The server is told so often that somebody is there. */
const TELL_MS = 60_000;

/** Locks the screen after a while without a key, on a press, or because the server says so; its password opens it. */
export function ScreenLock({ me, locksAfter }: { me: Person; locksAfter: number }) {
  const [isLocked, setLocked] = useState(false);
  const [isOver, setOver] = useState(false);
  const channel = useRef<BroadcastChannel>(null);
  const say = useCallback((message: LockMessage) => channel.current?.postMessage(message), []);
  const lock = useCallback(() => {
    setLocked(true);
    closeSide();
  }, []);
  const lockAll = useCallback(() => {
    lock();
    say("locked");
    void signInApi.lock();
  }, [lock, say]);
  useEffect(() => {
    let used = Date.now();
    let told = 0;
    const opened = new BroadcastChannel(LOCK_CHANNEL);
    channel.current = opened;
    opened.onmessage = ({ data }: MessageEvent<LockMessage>) => {
      if (data === "used") used = Date.now();
      else if (data === "locked") lock();
      else {
        used = Date.now();
        setLocked(false);
      }
    };
    const use = () => {
      used = Date.now();
      if (used - told < TELL_MS) return;
      told = used;
      opened.postMessage("used" satisfies LockMessage);
      void signInApi.here();
    };
    const look = () => {
      if (Date.now() - used > locksAfter * MINUTE_MS) lockAll();
    };
    const needed = (event: Event) => {
      if ((event as CustomEvent<string>).detail === "locked") lock();
      else setOver(true);
    };
    const timer = setInterval(look, LOOK_MS);
    for (const each of USES) window.addEventListener(each, use, { passive: true });
    window.addEventListener(LOCK_ASKED, lockAll);
    window.addEventListener(SIGN_IN_NEEDED, needed);
    use();
    return () => {
      clearInterval(timer);
      for (const each of USES) window.removeEventListener(each, use);
      window.removeEventListener(LOCK_ASKED, lockAll);
      window.removeEventListener(SIGN_IN_NEEDED, needed);
      opened.close();
    };
  }, [lock, lockAll, locksAfter]);
  useKeys(event => {
    if (event.key.toLowerCase() !== "l" || !event.shiftKey || !(event.ctrlKey || event.metaKey)) return;
    event.preventDefault();
    lockAll();
  });
  if (!isLocked && !isOver) return null;
  return (
    <LockedDialog
      name={me.name}
      isOver={isOver}
      onOver={() => setOver(true)}
      onOpened={() => {
        setLocked(false);
        say("opened");
      }}
    />
  );
}

const USES = ["pointerdown", "keydown", "wheel"] as const;
