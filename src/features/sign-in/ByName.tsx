import { useState } from "react";
import { signInApi } from "@/features/api/people";
import { PasswordField } from "@/features/people/PasswordField";
import { SaidField } from "@/features/people/SaidField";
import { useSending } from "@/features/people/use-sending";
import type { SignInReply } from "@/server/contract";

type Props = {
  /** What the house's directory is called, where there is one. */
  house: string | null;
  onEntered: (reply: SignInReply) => void;
};

/** Who it is, by name and password. */
export function ByName({ house, onEntered }: Props) {
  const [name, setName] = useState("");
  const [password, setPassword] = useState("");
  const { trouble, isSending, submit } = useSending(() => signInApi.byName(name, password), onEntered);
  return (
    <form className="mt-4 grid gap-3" onSubmit={submit}>
      <h1 className="font-semibold text-2xl">Sign in</h1>
      <SaidField
        label="Name"
        value={name}
        onChange={setName}
        maxLength={80}
        autoComplete="username"
        autoCapitalize="none"
        spellCheck={false}
        isFirst
      />
      <PasswordField label="Password" value={password} onChange={setPassword} trouble={trouble} />
      <button
        type="submit"
        className="btn btn-primary"
        disabled={isSending || name === "" || password === ""}
      >
        Sign in
      </button>
      {house !== null && (
        <a className="btn" href="/api/sign-in/house">
          Sign in by {house}
        </a>
      )}
      <p className="text-faint text-sm">
        Who has forgotten the password gets a link from a manager or an administrator, and sets a new one.
      </p>
    </form>
  );
}
