import { useEffect, useState } from "react";
import { flushSync } from "react-dom";

/** Whether the page is being printed: paper shows every line. */
export function useIsPrinted(): boolean {
  const [isPrinted, setPrinted] = useState(() => matchMedia("print").matches);
  useEffect(() => {
    const query = matchMedia("print");
    const changed = () => flushSync(() => setPrinted(query.matches));
    const before = () => flushSync(() => setPrinted(true));
    const after = () => setPrinted(false);
    query.addEventListener("change", changed);
    window.addEventListener("beforeprint", before);
    window.addEventListener("afterprint", after);
    return () => {
      query.removeEventListener("change", changed);
      window.removeEventListener("beforeprint", before);
      window.removeEventListener("afterprint", after);
    };
  }, []);
  return isPrinted;
}
