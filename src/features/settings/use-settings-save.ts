import { useCallback, useEffect, useRef, useState } from "react";
import { isSame } from "@/exchange/deal-document";
import type { Settings } from "@/exchange/settings";
import type { Answer } from "@/features/api/client";
import { settingsApi } from "@/features/api/settings";
import { notify } from "@/features/notices/notify";
import { useLookAgain } from "@/features/saving/look-again";
import type { SettingsReply } from "@/server/contract";

/** What the screen says about saving the settings. */
export type SettingsStatus =
  | { kind: "saved"; at: string | null }
  | { kind: "saving" }
  | { kind: "trouble"; sentence: string }
  /** Somebody else has saved other settings meanwhile. */
  | { kind: "conflict"; theirs: SettingsReply };

const PAUSE_AFTER_TYPING = 300;
const RETRY_AFTER = 2000;

/**
 * Saves the settings whenever they change, one save at a time, the newest last.
 *
 * @param opened as the server gave them when the page was opened
 * @param settings as they are on the screen
 * @param isUnread whether something typed cannot be read: it stays, whatever others save
 * @param show puts other settings on the screen
 */
export function useSettingsSave(
  opened: SettingsReply,
  settings: Settings,
  isUnread: boolean,
  show: (settings: Settings) => void,
) {
  const [status, setStatus] = useState<SettingsStatus>({ kind: "saved", at: opened.changedAt });
  const kept = useRef(opened);
  const wanted = useRef(settings);
  const isSending = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);

  const send = useCallback(async () => {
    clearTimeout(timer.current);
    if (isSending.current) return;
    const mine = wanted.current;
    if (isSame(mine, kept.current.settings)) {
      setStatus({ kind: "saved", at: kept.current.changedAt });
      return;
    }
    isSending.current = true;
    const answer = await settingsApi.save(kept.current.version, mine);
    isSending.current = false;
    if (answer.kind === "done") {
      kept.current = answer.value;
      await send();
      return;
    }
    setStatus(await troubleOf(answer));
    if (answer.kind !== "refused") timer.current = setTimeout(() => void send(), RETRY_AFTER);
  }, []);

  useEffect(() => {
    wanted.current = settings;
    if (isSame(settings, kept.current.settings)) return;
    setStatus({ kind: "saving" });
    clearTimeout(timer.current);
    timer.current = setTimeout(() => void send(), PAUSE_AFTER_TYPING);
  }, [settings, send]);

  useEffect(() => {
    const leave = () => void send();
    window.addEventListener("pagehide", leave);
    return () => {
      window.removeEventListener("pagehide", leave);
      clearTimeout(timer.current);
    };
  }, [send]);

  const takeTheirs = useCallback(
    (theirs: SettingsReply) => {
      kept.current = theirs;
      show(theirs.settings);
      setStatus({ kind: "saved", at: theirs.changedAt });
    },
    [show],
  );

  useLookAgain("of=settings", async () => {
    const isBusy = () => isUnread || isSending.current || !isSame(wanted.current, kept.current.settings);
    if (isBusy()) return;
    const { version } = kept.current;
    const theirs = await settingsApi.read();
    // What was typed meanwhile meets it as it is saved.
    if (theirs.kind !== "done" || isBusy() || kept.current.version !== version) return;
    if (theirs.value.version !== version) takeTheirs(theirs.value);
  });

  return {
    status,
    /** Saves this page's settings over somebody else's. */
    keepMine: (theirs: SettingsReply) => {
      kept.current = theirs;
      void send();
    },
    /** Saves the settings of a file in place of these, if they are some; says why they are not. */
    replaceBy: async (file: unknown) => {
      const answer = await settingsApi.save(kept.current.version, file as Settings);
      if (answer.kind !== "done") {
        notify.error(answer.kind === "away" ? "The server is away; nothing was changed." : answer.sentence);
        return;
      }
      kept.current = answer.value;
      show(answer.value.settings);
      setStatus({ kind: "saved", at: answer.value.changedAt });
    },
    /** Puts somebody else's on the screen. */
    takeTheirs,
  };
}

/** Why the settings are not saved; with somebody else's where they have changed them. */
async function troubleOf(answer: Exclude<Answer<SettingsReply>, { kind: "done" }>): Promise<SettingsStatus> {
  if (answer.kind === "away")
    return { kind: "trouble", sentence: "Not saved: the server is away. Leave this page open." };
  if (answer.kind === "refused" && answer.status === 409) {
    const theirs = await settingsApi.read();
    if (theirs.kind === "done") return { kind: "conflict", theirs: theirs.value };
  }
  return { kind: "trouble", sentence: `Not saved: ${answer.sentence}` };
}
