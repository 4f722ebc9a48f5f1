import { BookOpen, Library, Percent, Settings2, Truck } from "lucide-react";
import type { ReactNode } from "react";
import { PersonPlace } from "@/features/people/PersonPlace";
import { PLACE } from "@/features/places/place-style";
import { KeysAnywhere } from "./KeysAnywhere";

type Props = {
  warning?: string | undefined;
  /** After how many minutes without a key a screen locks. */
  locksAfter: number;
  /** The id of who is signed in; left out where nobody has a name. */
  person?: string | undefined;
  children: ReactNode;
};

/**
 * The frame of every screen: the way to each place at the side, or on top of a narrow screen.
 *
 * @param warning what should be seen to before anything else
 */
export function Shell({ warning, locksAfter, person, children }: Props) {
  return (
    <div data-person={person} className="flex min-h-dvh flex-col md:h-dvh md:flex-row">
      <nav
        aria-label="Places"
        className="flex shrink-0 items-center gap-3 border-base-300 print:hidden border-b bg-base-100 px-3 py-2 max-md:flex-wrap max-md:gap-x-1.5 max-md:gap-y-0 md:w-15 md:flex-col md:border-r md:border-b-0 md:px-0 md:py-3"
      >
        <span
          aria-hidden="true"
          className="grid size-9 place-items-center rounded-box bg-primary font-bold font-serif text-lg text-primary-content"
        >
          K
        </span>
        {/* Places are whole pages: a deal kept in the browser's memory could be older than the saved one. */}
        <a href="/" className={`${PLACE} md:mt-4`}>
          <BookOpen size={20} aria-hidden="true" />
          Deals
        </a>
        <a href="/stock" className={PLACE}>
          <Truck size={20} aria-hidden="true" />
          Stock
        </a>
        <a href="/rates" className={PLACE}>
          <Percent size={20} aria-hidden="true" />
          Rates
        </a>
        <a href="/figures" className={PLACE}>
          <Library size={20} aria-hidden="true" />
          Figures
        </a>
        <KeysAnywhere />
        <PersonPlace locksAfter={locksAfter} />
        <a href="/settings" className={`${PLACE} max-md:ml-auto md:mt-auto`}>
          <Settings2 size={20} aria-hidden="true" />
          Settings
        </a>
      </nav>
      <main className="min-w-0 flex-1 md:overflow-auto">
        {warning && (
          <p role="alert" className="border-warning border-b-4 bg-base-100 px-4 py-2 font-semibold md:px-6">
            {warning}
          </p>
        )}
        {children}
      </main>
    </div>
  );
}
