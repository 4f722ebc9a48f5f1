import { useEffect, useState } from "react";
import { arrivingDeals, cancelArriving } from "@/features/api/files";
import { notify } from "@/features/notices/notify";
import type { ArrivingReply } from "@/server/contract";

/** A file of deals that is being brought in, by its name and the id that the server knows it by. */
export type Arriving = { name: string; id: string };

const LOOKS_APART_MS = 500;

/** How far a file of deals is, and the way to leave it. */
export function ArrivingFile({ name, id }: Arriving) {
  const [reply, setReply] = useState<ArrivingReply | null>(null);
  useEffect(() => {
    const look = async () => {
      const answer = await arrivingDeals(id);
      // While it is still on its way to the server, nothing is known of it there.
      if (answer.kind === "done") setReply(answer.value);
    };
    const timer = setInterval(() => void look(), LOOKS_APART_MS);
    return () => clearInterval(timer);
  }, [id]);
  const cancel = async () => {
    const answer = await cancelArriving(id);
    if (answer.kind === "refused") notify(answer.sentence);
  };
  return (
    <section
      aria-label={`Import of ${name}`}
      className="card-paper mb-3 flex flex-wrap items-center gap-x-4 gap-y-2 px-4 py-2"
    >
      <span className="max-w-72 truncate font-semibold">{name}</span>
      <span
        role="progressbar"
        aria-label={`How far the import of ${name} is`}
        {...(reply?.of && { "aria-valuenow": reply.done, "aria-valuemax": reply.of })}
        className="h-2 w-48 overflow-hidden rounded-full bg-base-300"
      >
        <span
          className="block h-full bg-primary"
          style={{ width: `${reply?.of ? (100 * reply.done) / reply.of : 0}%` }}
        />
      </span>
      <span className="min-w-60 tabular-nums">{words(reply)}</span>
      {reply?.step !== "showing" && (
        <button type="button" className="btn btn-sm ml-auto" onClick={() => void cancel()}>
          Cancel
        </button>
      )}
    </section>
  );
}

const count = (deals: number) => deals.toLocaleString("en-US");

function words(reply: ArrivingReply | null): string {
  if (!reply) return "Sending it to the server…";
  const { step, done, of } = reply;
  if (of === null) return `${count(done)} deals read`;
  return step === "keeping"
    ? `${count(done)} of ${count(of)} deals kept`
    : `All kept; ${count(done)} of ${count(of)} deals in the list`;
}
