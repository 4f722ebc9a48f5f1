import { useState } from "react";
import type { Named } from "@/exchange/deal-document";
import { reasonOf } from "@/features/api/reason-of";
import { recordsApi } from "@/features/api/records";
import { notify } from "@/features/notices/notify";
import { useMay } from "@/features/people/me-context";

const AFTER_READING_MS = 2500;

/** Blanks a customer everywhere, on request: asked twice, for nothing brings it back. */
export function EraseCustomer({ named }: { named: Named }) {
  const mayErase = useMay("eraseCustomers");
  const [isAsking, setAsking] = useState(false);
  if (!mayErase) return null;
  const erase = async () => {
    const answer = await recordsApi.erase(named.id);
    if (answer.kind !== "done") return notify.error(reasonOf(answer));
    const { deals, papersKept } = answer.value;
    notify.success(
      `Erased in ${deals === 1 ? "one deal" : `${deals} deals`}.${papersKept > 0 ? ` ${papersKept} given papers stay for as long as the law keeps them.` : ""}`,
    );
    // Whatever is on the screen is of before.
    setTimeout(() => location.reload(), AFTER_READING_MS);
  };
  return (
    <div className="mt-2 print:hidden">
      {isAsking ? (
        <div role="alertdialog" aria-label="Erase this customer" className="grid gap-2">
          <p className="text-sm">
            The name goes from every deal of {named.name}, signed ones too, with notes and what histories say
            in words. Figures stay, given papers as long as the law keeps them, and copies of the house’s data
            until they are too old. Nothing brings it back.
          </p>
          <div className="flex gap-2">
            <button type="button" className="btn btn-sm" onClick={() => void erase()}>
              Erase this customer
            </button>
            <button type="button" className="btn btn-ghost btn-sm" onClick={() => setAsking(false)}>
              Leave it
            </button>
          </div>
        </div>
      ) : (
        <button type="button" className="btn btn-ghost btn-sm" onClick={() => setAsking(true)}>
          Erase this customer …
        </button>
      )}
    </div>
  );
}
