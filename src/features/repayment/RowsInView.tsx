import { lazy, type ReactNode, type RefObject, Suspense, useEffect, useState } from "react";
import { flushSync } from "react-dom";
import { ROW_HEIGHT, Spacer } from "./Spacer";

// Nobody scrolls before the page is touched: it starts without the code for that.
const WindowedRows = lazy(() =>
  import("./WindowedRows").then(({ WindowedRows: rows }) => ({ default: rows })),
);

const TOUCHES = ["pointerdown", "pointermove", "keydown", "wheel", "touchstart", "scroll"] as const;

type Props = {
  scroller: RefObject<HTMLElement | null>;
  count: number;
  columns: number;
  row: (index: number) => ReactNode;
};

/** The lines of a table that are in view: at first its beginning. */
export function RowsInView(props: Props) {
  const isTouched = useTouched();
  const isPrinted = useIsPrinted();
  if (isPrinted) return Array.from({ length: props.count }, (_, index) => props.row(index));
  const first = <FirstRows {...props} />;
  if (!isTouched) return first;
  return (
    <Suspense fallback={first}>
      <WindowedRows {...props} />
    </Suspense>
  );
}

function FirstRows({ count, columns, row }: Props) {
  const shown = Math.min(count, Math.ceil(window.innerHeight / ROW_HEIGHT));
  return (
    <>
      {Array.from({ length: shown }, (_, index) => row(index))}
      {count > shown && <Spacer height={(count - shown) * ROW_HEIGHT} columns={columns} />}
    </>
  );
}

/** Whether the page is being printed: paper shows every line. */
function useIsPrinted(): boolean {
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

function useTouched(): boolean {
  const [isTouched, setTouched] = useState(false);
  useEffect(() => {
    if (isTouched) return;
    const touched = () => setTouched(true);
    const options = { capture: true, passive: true };
    for (const touch of TOUCHES) window.addEventListener(touch, touched, options);
    return () => {
      for (const touch of TOUCHES) window.removeEventListener(touch, touched, options);
    };
  }, [isTouched]);
  return isTouched;
}
