import { FileDown, RotateCcw } from "lucide-react";
import { useRef, useState } from "react";
import type { Notation } from "@/exchange/notation";
import { sizeText } from "@/exchange/text";
import { restoreBackup } from "@/features/api/files";
import { whenText } from "@/features/figures/when";
import { notify } from "@/features/notices/notify";
import { useIsAlive } from "@/features/shell/WhenAlive";
import type { KeptCopies, KeptCopy } from "@/server/contract";
import { RestoreDialog, type Wanted } from "./RestoreDialog";

/** Everything that is kept as one file: saved, kept each day by itself, and brought back. */
export function BackupsCard({ kept: { copies, days }, notation }: { kept: KeptCopies; notation: Notation }) {
  const chooser = useRef<HTMLInputElement>(null);
  const [wanted, setWanted] = useState<Wanted | null>(null);
  const [isRestoring, setRestoring] = useState(false);

  const restore = async ({ backup, called }: Wanted) => {
    setWanted(null);
    setRestoring(true);
    const answer = await restoreBackup(backup);
    setRestoring(false);
    if (answer.kind === "done") {
      notify.success(`${answer.value.deals} deals of ${called} are back.`);
      // Whatever is on the screen is of before.
      setTimeout(() => location.reload(), 1200);
    } else {
      notify.error(answer.kind === "away" ? "The server is away; nothing was restored." : answer.sentence);
    }
  };

  return (
    <section aria-labelledby="backups-title" className="card-paper px-4 py-3">
      <h2 id="backups-title" className="font-semibold text-lg">
        Backups
      </h2>
      <p className="text-faint text-sm">
        Everything in one file: deals with their histories and signed quotes, stock and settings. Keep it
        somewhere else than on this machine.
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        <a className="btn btn-sm h-8.5" href="/api/backup" download>
          <FileDown size={16} aria-hidden="true" />
          Save a backup
        </a>
        <button
          type="button"
          className="btn btn-sm h-8.5"
          disabled={isRestoring}
          onClick={() => chooser.current?.click()}
        >
          <RotateCcw size={16} aria-hidden="true" />
          Restore a backup
        </button>
        <input
          ref={chooser}
          type="file"
          accept=".gz"
          aria-label="Backup to restore"
          className="hidden"
          onChange={({ target }) => {
            const file = target.files?.[0];
            if (file) setWanted({ backup: file, called: file.name });
            target.value = "";
          }}
        />
      </div>
      {isRestoring && (
        <p role="status" className="mt-2 font-semibold">
          The backup is being checked and restored…
        </p>
      )}
      <h3 className="mt-3 font-semibold">Kept by itself</h3>
      <p className="text-faint text-sm">
        One copy a day, for {days} days, in the data folder; and one before each restoring.
      </p>
      {copies.length === 0 ? (
        <p className="mt-1 text-sm">None yet: the first is made soon after there is a deal.</p>
      ) : (
        <ul className="mt-1 divide-y divide-base-300">
          {copies.map(copy => (
            <Copy
              key={copy.name}
              copy={copy}
              notation={notation}
              isRestoring={isRestoring}
              onRestore={setWanted}
            />
          ))}
        </ul>
      )}
      <RestoreDialog wanted={wanted} onRestore={restore} onCancel={() => setWanted(null)} />
    </section>
  );
}

type CopyProps = {
  copy: KeptCopy;
  notation: Notation;
  isRestoring: boolean;
  onRestore: (wanted: Wanted) => void;
};

function Copy({ copy: { name, made, bytes }, notation, isRestoring, onRestore }: CopyProps) {
  // On the officer's own clock, which the server does not know.
  const when = useIsAlive() ? whenText(made, notation) : made.slice(0, 10);
  return (
    <li className="flex flex-wrap items-center gap-x-3 py-1">
      <span className="grow">
        {when}
        {name.includes("before") && <span className="text-faint text-sm"> before a restoring</span>}
      </span>
      <span className="text-faint text-sm tabular-nums">{sizeText(bytes)}</span>
      <span className="ml-auto whitespace-nowrap">
        <a className="btn btn-ghost btn-sm" href={`/api/backups/${name}`} download={name}>
          <FileDown size={16} aria-hidden="true" />
          Save<span className="sr-only"> the copy of {when}</span>
        </a>
        <button
          type="button"
          className="btn btn-ghost btn-sm"
          disabled={isRestoring}
          onClick={() => onRestore({ backup: name, called: `the copy of ${when}` })}
        >
          Restore<span className="sr-only"> the copy of {when}</span>
        </button>
      </span>
    </li>
  );
}
