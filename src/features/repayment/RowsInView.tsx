import { lazy, type ReactNode, type RefObject, Suspense, useEffect, useState } from "react";
import { ROW_HEIGHT, Spacer } from "./Spacer";
import { useIsPrinted } from "./use-is-printed";

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
