import { BadgeCheck } from "lucide-react";
import { useState } from "react";
import { CORE_VERSION } from "@/core";
import type { Notation } from "@/exchange/notation";
import type { NeedsRelease } from "@/exchange/releases";
import { api } from "@/features/api/api";
import { whenText } from "@/features/figures/when";
import { reloadTo } from "@/features/focus/after-reload";
import { focusSoon } from "@/features/focus/focus-soon";
import { notify } from "@/features/notices/notify";
import { useMay } from "@/features/people/me-context";
import type { DealReply } from "@/server/contract";
import { useNotation } from "./option/option-context";
import { fieldId } from "./parts/field-id";
import { ToRelease } from "./people/ToRelease";

/** Says that a deal is signed and its figures stay, and takes it up again. */
export function SignedNotice({ deal }: { deal: DealReply }) {
  const { signing } = deal;
  const { notation } = useNotation();
  const [isAsking, setAsking] = useState(false);
  const [toRelease, setToRelease] = useState<readonly NeedsRelease[]>([]);
  const mayReopen = useMay("signDeals");
  const reopen = async () => {
    const answer = await api.reopen(deal.id, deal.version);
    if (answer.kind === "done") reloadTo(`#${fieldId("price")}`);
    else if (answer.kind === "refused" && answer.release) setToRelease(answer.release);
    else
      notify.error(
        answer.kind === "away" ? "The server is away; try again when it is back." : answer.sentence,
      );
  };
  return (
    <section
      aria-label="Signed"
      className="mb-2 flex flex-wrap items-center gap-x-3 gap-y-1 rounded-box border border-success px-4 py-1.5"
    >
      <BadgeCheck size={18} aria-hidden="true" className="text-success" />
      <p>{signing ? signedWords(signing, notation) : "Signed. Its figures are being kept."}</p>
      <span className="grow" />
      {!mayReopen ? null : isAsking ? (
        <>
          <span className="text-sm">Its history will show that it was reopened.</span>
          <button
            type="button"
            data-reopen=""
            className="btn btn-primary btn-sm"
            onClick={() => void reopen()}
          >
            Reopen it
          </button>
          <button type="button" className="btn btn-ghost btn-sm" onClick={() => setAsking(false)}>
            Leave it signed
          </button>
        </>
      ) : (
        <button
          type="button"
          className="btn btn-sm"
          onClick={() => {
            setAsking(true);
            focusSoon("[data-reopen]");
          }}
        >
          Reopen to change it
        </button>
      )}
      {toRelease.length > 0 && (
        <div className="basis-full">
          <ToRelease
            dealId={deal.id}
            version={deal.version}
            open={toRelease}
            before="reopened"
            onReleased={() => void reopen()}
          />
        </div>
      )}
    </section>
  );
}

function signedWords(
  { isLate, at, coreVersion }: NonNullable<DealReply["signing"]>,
  notation: Notation,
): string {
  const when = whenText(at, notation);
  const signed = isLate
    ? `Signed before figures were kept with it; they were kept on ${when} and stay as they were then`
    : `Signed on ${when}. Every figure is as it was then`;
  if (coreVersion === CORE_VERSION) return `${signed}.`;
  return `${signed}, by version ${coreVersion} of the computation; today’s is ${CORE_VERSION}.`;
}
