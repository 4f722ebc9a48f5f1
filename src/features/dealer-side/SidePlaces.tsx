import { HandCoins, LockOpen } from "lucide-react";
import { useEffect, useState } from "react";
import { PLACE } from "@/features/places/place-style";
import { closeSide, minutesLeft } from "./keep-side";

/** In how many minutes the dealer's side closes. */
export function useMinutesLeft(): number {
  const [minutes, setMinutes] = useState(minutesLeft);
  useEffect(() => {
    const timer = setInterval(() => setMinutes(minutesLeft()), 1000);
    return () => clearInterval(timer);
  }, []);
  return minutes;
}

/** Where else the dealer's side leads, and that it is open: at the side of every page while it is. */
export function SidePlaces() {
  const minutes = useMinutesLeft();
  return (
    <>
      <a href="/earned" className={PLACE}>
        <HandCoins size={20} aria-hidden="true" />
        Earned
      </a>
      <button
        type="button"
        title={`The dealer’s side is open and closes in ${minutes} min; press to close it (Ctrl .)`}
        className="flex w-13 cursor-pointer flex-col items-center gap-0.5 rounded-field border border-info border-dashed px-1 py-1 font-semibold text-info text-xs"
        onClick={closeSide}
      >
        <LockOpen size={16} aria-hidden="true" />
        <span>Side open</span>
        <span className="sr-only">: close it</span>
      </button>
    </>
  );
}
