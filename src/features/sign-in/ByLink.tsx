import { useState } from "react";
import { signInApi } from "@/features/api/people";
import { NEW_PASSWORD_HINT } from "@/features/people/new-password";
import { PasswordField } from "@/features/people/PasswordField";
import { useSending } from "@/features/people/use-sending";
import type { SignInReply } from "@/server/contract";

type Props = { link: string; name: string | null; onEntered: (reply: SignInReply) => void };

/** A password is set by a link that was handed over, once. */
export function ByLink({ link, name, onEntered }: Props) {
  const [password, setPassword] = useState("");
  const { trouble, isSending, submit } = useSending(() => signInApi.byLink(link, password), onEntered);
  if (name === null) {
    return (
      <div className="mt-4 grid gap-3">
        <h1 className="font-semibold text-2xl">This link is over</h1>
        <p>It was used, or is older than a day. Ask a manager or an administrator for another one.</p>
        <p>
          <a className="text-primary underline" href="/sign-in">
            Sign in
          </a>
        </p>
      </div>
    );
  }
  return (
    <form className="mt-4 grid gap-3" onSubmit={submit}>
      <h1 className="font-semibold text-2xl">Welcome, {name}</h1>
      <PasswordField
        label="Your new password"
        value={password}
        onChange={setPassword}
        trouble={trouble}
        hint={NEW_PASSWORD_HINT}
        isNew
        isFirst
      />
      <button type="submit" className="btn btn-primary" disabled={isSending || password === ""}>
        Set it and sign in
      </button>
    </form>
  );
}
