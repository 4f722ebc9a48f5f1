import { UserRound } from "lucide-react";
import { useState } from "react";
import { DealPeoplePanel } from "./DealPeoplePanel";

/** Whose deal it is, and the way to hand it over: where people have names. */
export function DealPeopleButton({ dealId }: { dealId: string }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <div className="relative print:hidden">
      <button
        type="button"
        data-deal-people=""
        className="btn btn-ghost btn-sm px-2"
        title="Whose deal it is, and who works on it"
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
      >
        <UserRound size={16} aria-hidden="true" />
        <span className="sr-only">Whose deal it is</span>
      </button>
      {isOpen && <DealPeoplePanel dealId={dealId} onClose={() => setOpen(false)} />}
    </div>
  );
}
