import { useEffect, useState } from "react";
import type { Named } from "@/exchange/deal-document";
import { reasonOf } from "@/features/api/reason-of";
import { recordsApi } from "@/features/api/records";
import { notify } from "@/features/notices/notify";

type Props = {
  /** Who the deal was of, and who it is of now that another name was typed. */
  former: Named;
  present: Named;
  dealId: string;
  onSame: (customer: Named) => void;
  onDone: () => void;
};

/** A name that other deals have was typed over: whether that person is meant, in those deals too, is asked. */
export function SamePerson({ former, present, dealId, onSame, onDone }: Props) {
  const [others, setOthers] = useState(0);
  useEffect(() => {
    void recordsApi.one("customer", former.id, dealId).then(answer => {
      if (answer.kind === "done") setOthers(answer.value.deals);
    });
  }, [former.id, dealId]);
  if (others === 0) return null;
  const correct = async () => {
    const answer = await recordsApi.correct("customer", former, present.name);
    if (answer.kind === "done") onSame(answer.value);
    else notify.error(`The name was not corrected. ${reasonOf(answer)}`);
    onDone();
  };
  return (
    <p role="status" className="flex basis-full flex-wrap items-center gap-x-3 gap-y-1">
      <span>
        {former.name} has {others === 1 ? "another deal" : `${others} other deals`}. Is {present.name} the
        same person?
      </span>
      <button type="button" className="btn btn-primary btn-sm" onClick={() => void correct()}>
        The same: correct the name there, too
      </button>
      <button type="button" className="btn btn-ghost btn-sm" onClick={onDone}>
        Somebody else
      </button>
    </p>
  );
}
