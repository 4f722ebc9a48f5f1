import { api } from "@/features/api/api";
import { notify } from "@/features/notices/notify";
import type { DealReply } from "@/server/contract";

/** The deal on the screen was deleted: it can be brought back, with what was changed here. */
export function DeletedNotice({ id, onBack }: { id: string; onBack: (deal: DealReply) => void }) {
  const bringBack = async () => {
    const answer = await api.restore(id);
    if (answer.kind === "done") onBack(answer.value);
    else notify.error(answer.kind === "refused" ? answer.sentence : "The server is away; try again.");
  };
  return (
    <div role="alert" className="flex flex-wrap items-center gap-3 rounded-box border border-error px-4 py-2">
      <span>This deal was deleted. What you change here is kept, but not saved until it is back.</span>
      <button type="button" className="btn btn-sm" onClick={() => void bringBack()}>
        Bring it back
      </button>
    </div>
  );
}
