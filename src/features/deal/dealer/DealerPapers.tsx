import { useState } from "react";
import { isFlatOnly } from "@/core";
import { nameOf } from "@/exchange/deal-document";
import type { Dealer } from "@/exchange/dealer";
import { fetchRecap } from "@/features/api/papers";
import { localToday } from "@/features/figures/today";
import { useDesk } from "../desk/desk-context";
import { deskDocument } from "../desk/desk-state";
import { saveDealFile } from "../desk/save-deal-file";
import { PaperButton } from "../papers/PaperButton";

type Props = { dealId: string; dealer: Dealer };

/** What of the dealer's side can leave the desk: for the house, or by an express choice for the customer. */
export function DealerPapers({ dealId, dealer }: Props) {
  const { state } = useDesk();
  const [trouble, setTrouble] = useState("");
  const document = deskDocument(state);
  return (
    <div className="flex flex-wrap items-center gap-2 border-base-300 border-t px-4 py-2">
      <button
        type="button"
        className="btn btn-sm"
        onClick={async () => setTrouble(await fetchRecap(dealId, state.open, localToday()))}
      >
        Deal recap (PDF)
      </button>
      <span className="text-faint text-sm">both sides of the deal, for the house alone</span>
      {isFlatOnly(document.place) && (
        <>
          <PaperButton name="proposal" details={{ commission: "1" }} />
          <span className="text-faint text-sm">with the amount of the commission, for the customer</span>
        </>
      )}
      <button
        type="button"
        className="btn btn-ghost btn-sm ml-auto"
        onClick={() =>
          void saveDealFile(`${nameOf(document.customer) || "New deal"} with costs`, document, dealer)
        }
      >
        Export with costs
      </button>
      {trouble && (
        <p role="status" className="basis-full text-error text-sm">
          {trouble}
        </p>
      )}
    </div>
  );
}
