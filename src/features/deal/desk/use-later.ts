import { useEffect, useState } from "react";

const LATER_MS = 1500;

/** Whether a page has been there for a moment: what is not needed at first sight comes then, out of the way of the rest. */
export function useLater(): boolean {
  const [isLater, setLater] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLater(true), LATER_MS);
    return () => clearTimeout(timer);
  }, []);
  return isLater;
}
