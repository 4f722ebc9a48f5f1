import { ChevronLeft, ChevronRight } from "lucide-react";
import type { ReactNode } from "react";
import { wholeText } from "@/core";
import type { RegisterPage } from "@/server/contract";

type Props = {
  page: RegisterPage;
  isSearch: boolean;
  onPage: (page: number) => void;
  /** Of what is shown, besides. */
  children?: ReactNode;
};

/** Says which deals of how many are shown, and leads to the ones before and after them. */
export function RegisterPager({ page, isSearch, onPage, children }: Props) {
  const { rows, found, isMore, page: number, pages, skipped } = page;
  const deals = `${wholeText(found)} ${found === 1 ? "deal" : "deals"}`;
  const counted = `${isMore ? "more than " : ""}${deals}${isSearch ? " found" : ""}`;
  const shown = `${wholeText(skipped + 1)}–${wholeText(skipped + rows.length)} of ${counted}`;
  return (
    <div className="mb-1 flex min-h-8 items-center gap-2 text-faint text-sm">
      <p role="status">{pages > 1 ? shown : counted}</p>
      {children}
      {pages > 1 && (
        <nav aria-label="Pages" className="ml-auto flex items-center gap-1">
          <PageButton label="Previous page" isThere={number > 1} onClick={() => onPage(number - 1)}>
            <ChevronLeft size={16} aria-hidden="true" />
            <span className="hidden sm:inline">Previous</span>
          </PageButton>
          <span className="hidden whitespace-nowrap px-1 sm:inline">
            Page {wholeText(number)} of {wholeText(pages)}
          </span>
          <PageButton label="Next page" isThere={number < pages} onClick={() => onPage(number + 1)}>
            <span className="hidden sm:inline">Next</span>
            <ChevronRight size={16} aria-hidden="true" />
          </PageButton>
        </nav>
      )}
    </div>
  );
}

type ButtonProps = { label: string; isThere: boolean; onClick: () => void; children: React.ReactNode };

function PageButton({ label, isThere, onClick, children }: ButtonProps) {
  return (
    <button type="button" className="btn btn-sm" aria-label={label} disabled={!isThere} onClick={onClick}>
      {children}
    </button>
  );
}
