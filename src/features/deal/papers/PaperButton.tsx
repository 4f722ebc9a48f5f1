import { useState } from "react";
import { PAPER_FACTS, type PaperName } from "@/exchange/papers/paper-kinds";
import { fetchPaper } from "@/features/api/papers";
import { localToday } from "@/features/figures/today";
import { useDesk } from "../desk/desk-context";
import { savedNow } from "./saved-now";

type Props = { name: PaperName; details: Record<string, string> };

/** A paper where its figures stand; of the open option as it is saved. */
export function PaperButton({ name, details }: Props) {
  const { state } = useDesk();
  const [trouble, setTrouble] = useState("");
  return (
    <>
      <button
        type="button"
        className="btn btn-sm"
        onClick={async () => {
          const { dealId, version } = savedNow;
          const asked = { options: [state.open], day: localToday(), details };
          setTrouble(
            version === undefined
              ? "The deal is not saved yet; its papers are made of what is saved."
              : await fetchPaper(dealId, name, { ...asked, version }),
          );
        }}
      >
        {PAPER_FACTS[name].name} (PDF)
      </button>
      {trouble && (
        <p role="status" className="text-error text-sm">
          {trouble}
        </p>
      )}
    </>
  );
}
