import { useState } from "react";
import { meApi } from "@/features/api/people";
import type { CodesReply } from "@/server/contract";
import { CodeField } from "./CodeField";
import { PasswordField } from "./PasswordField";
import { useSending } from "./use-sending";

/** One-time codes are set up: the password, what a program for them reads, the recovery codes, and the first code. */
export function CodesForm({ onDone }: { onDone: () => void }) {
  const [begun, setBegun] = useState<CodesReply | null>(null);
  return begun ? <FirstCode begun={begun} onDone={onDone} /> : <Begin onBegun={setBegun} />;
}

function Begin({ onBegun }: { onBegun: (begun: CodesReply) => void }) {
  const [password, setPassword] = useState("");
  const { trouble, isSending, submit } = useSending(() => meApi.beginCodes(password), onBegun);
  return (
    <form className="grid gap-3" onSubmit={submit}>
      <PasswordField label="Your password" value={password} onChange={setPassword} trouble={trouble} />
      <button type="submit" className="btn btn-primary" disabled={isSending || password === ""}>
        Go on
      </button>
    </form>
  );
}

function FirstCode({ begun, onDone }: { begun: CodesReply; onDone: () => void }) {
  const [code, setCode] = useState("");
  const { trouble, isSending, submit } = useSending(() => meApi.confirmCodes(code), onDone);
  return (
    <form className="grid gap-3" onSubmit={submit}>
      <div className="flex flex-wrap items-center gap-4">
        {/* biome-ignore lint/performance/noImgElement: a picture that is made for this page alone */}
        <img
          className="size-40 rounded-box bg-white"
          alt="What a program for one-time codes reads with a camera"
          src={`data:image/svg+xml;utf8,${encodeURIComponent(begun.picture)}`}
        />
        <div className="min-w-40 flex-1">
          <p className="text-faint text-sm">Or by hand, as a secret in Base32:</p>
          <p className="break-all font-mono text-sm" data-secret="">
            {begun.secret}
          </p>
          <p className="mt-1">
            <a className="text-primary underline" href={begun.address}>
              Open it on this device
            </a>
          </p>
        </div>
      </div>
      <section aria-label="Recovery codes" className="rounded-box border border-base-300 px-3 py-2">
        <p className="text-sm">
          Write these down and keep them apart: each lets you in once without the device. They are not shown
          again.
        </p>
        <ul className="mt-1 grid grid-cols-2 gap-x-4 font-mono text-sm">
          {begun.recovery.map(each => (
            <li key={each}>{each}</li>
          ))}
        </ul>
      </section>
      <CodeField
        label="The first code"
        value={code}
        onChange={setCode}
        trouble={trouble}
        hint="The six digits that it shows now."
      />
      <button type="submit" className="btn btn-primary" disabled={isSending || code.trim() === ""}>
        It works: use codes from now on
      </button>
    </form>
  );
}
