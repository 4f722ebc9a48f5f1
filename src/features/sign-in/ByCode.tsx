import { useState } from "react";
import { signInApi } from "@/features/api/people";
import { CodeField } from "@/features/people/CodeField";
import { useSending } from "@/features/people/use-sending";
import type { SignInReply } from "@/server/contract";

/** The second step: a one-time code. */
export function ByCode({ onEntered }: { onEntered: (reply: SignInReply) => void }) {
  const [code, setCode] = useState("");
  const { trouble, isSending, submit } = useSending(() => signInApi.byCode(code), onEntered);
  return (
    <form className="mt-4 grid gap-3" onSubmit={submit}>
      <h1 className="font-semibold text-2xl">One-time code</h1>
      <CodeField
        label="Code"
        value={code}
        onChange={setCode}
        trouble={trouble}
        hint="The six digits that your device shows now, or one of your recovery codes."
      />
      <button type="submit" className="btn btn-primary" disabled={isSending || code.trim() === ""}>
        Sign in
      </button>
    </form>
  );
}
