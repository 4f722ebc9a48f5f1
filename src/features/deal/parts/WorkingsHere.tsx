import { createContext, type ReactNode, useState } from "react";

/** Where workings open: under the figures that they are of. Null before that place is there. */
export const WorkingPlace = createContext<HTMLElement | null>(null);

/** Figures whose workings open under them, in the page: what they are about stays in view. */
export function WorkingsHere({ children }: { children: ReactNode }) {
  const [place, setPlace] = useState<HTMLElement | null>(null);
  return (
    <WorkingPlace value={place}>
      {children}
      <div
        ref={setPlace}
        className="col-span-full mt-1 grid basis-full grid-cols-[repeat(auto-fit,minmax(min(17rem,100%),1fr))] items-start gap-2 empty:hidden"
      />
    </WorkingPlace>
  );
}
