import { UserRound } from "lucide-react";
import { lazy, Suspense, useState } from "react";
import { useMe } from "@/features/people/me-context";

const DealPeoplePanel = lazy(() =>
  import("./DealPeoplePanel").then(({ DealPeoplePanel: panel }) => ({ default: panel })),
);

const PERSON = <UserRound size={16} aria-hidden="true" />;

/** Whose deal it is, and the way to hand it over: where people have names. */
export function DealPeopleButton({ dealId }: { dealId: string }) {
  const me = useMe();
  const [isOpen, setOpen] = useState(false);
  if (!me) return null;
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
        {PERSON}
        <span className="sr-only">Whose deal it is</span>
      </button>
      {isOpen && (
        <Suspense fallback={null}>
          <DealPeoplePanel dealId={dealId} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </div>
  );
}
