import { useEffect, useRef, useState } from "react";
import { resumeSide, toggleSide } from "@/features/dealer-side/keep-side";
import { SidePlaces } from "@/features/dealer-side/SidePlaces";
import { useSide } from "@/features/dealer-side/side-state";
import type { KeyAsked } from "./KeysAnywhere";
import { Shortcuts } from "./Shortcuts";

/** What the keys of every page open: the places of the dealer's side, and the sheet of keys. */
export function KeysOpened({ asked }: { asked: KeyAsked }) {
  const [isOpen, setOpen] = useState(false);
  const before = useRef<Element | null>(null);
  const isSideOpen = useSide();
  useEffect(() => {
    if (asked.key === ".") toggleSide();
    else if (asked.key === "/") {
      before.current = document.activeElement;
      setOpen(now => !now);
    } else resumeSide();
  }, [asked]);
  return (
    <>
      {isSideOpen && <SidePlaces />}
      {isOpen && (
        <div className="fixed top-2 right-3 z-50">
          <Shortcuts
            onClose={isBack => {
              setOpen(false);
              if (isBack) (before.current as HTMLElement | null)?.focus();
            }}
          />
        </div>
      )}
    </>
  );
}
