import { useState } from "react";
import type { Person } from "@/exchange/people";
import { meApi, signInApi } from "@/features/api/people";
import { notify } from "@/features/notices/notify";
import { CodesForm } from "./CodesForm";
import { NEW_PASSWORD_HINT } from "./new-password";
import { PasswordField } from "./PasswordField";
import { roleName } from "./PersonFields";
import { useSending } from "./use-sending";

const leave = () => location.assign("/sign-in");

type Opened = "password" | "codes" | "endCodes" | null;

/** One's own way in: roles, password, one-time codes, and the ways out. */
export function OwnCard({ me }: { me: Person }) {
  const [opened, setOpened] = useState<Opened>(null);
  return (
    <section aria-labelledby="own-title" className="card-paper px-4 py-3">
      <h2 id="own-title" className="font-semibold text-lg">
        {me.name}
      </h2>
      <p className="text-faint text-sm">
        {[me.roles.map(roleName).join(", ") || "No roles yet", me.branch].filter(Boolean).join(" · ")}
      </p>
      <div className="mt-3 flex flex-wrap gap-2">
        <button type="button" className="btn btn-sm" onClick={() => void signInApi.out().then(leave)}>
          Sign out
        </button>
        <button type="button" className="btn btn-sm" onClick={() => void meApi.outEverywhere().then(leave)}>
          Sign out everywhere
        </button>
      </div>
      <div className="mt-3 border-base-300 border-t pt-3">
        <Opens what="password" says="Change the password" opened={opened} onOpen={setOpened} />
        {opened === "password" && <NewPassword onDone={() => setOpened(null)} />}
      </div>
      <div className="mt-3 border-base-300 border-t pt-3">
        <h3 className="font-semibold">One-time codes</h3>
        <p className="mb-2 text-faint text-sm">
          {me.hasCodes
            ? "A code is asked for besides the password."
            : "Whoever has learned the password comes in. With codes they do not."}
        </p>
        <Opens
          what={me.hasCodes ? "endCodes" : "codes"}
          says={me.hasCodes ? "End them" : "Set them up"}
          opened={opened}
          onOpen={setOpened}
        />
        {opened === "codes" && (
          <div className="mt-3">
            <CodesForm onDone={() => location.reload()} />
          </div>
        )}
        {opened === "endCodes" && <EndCodes />}
      </div>
    </section>
  );
}

type OpensProps = {
  what: NonNullable<Opened>;
  says: string;
  opened: Opened;
  onOpen: (opened: Opened) => void;
};

/** Opens one of the forms, or closes it. */
function Opens({ what, says, opened, onOpen }: OpensProps) {
  const isOpen = opened === what;
  return (
    <button
      type="button"
      className="btn btn-sm"
      aria-expanded={isOpen}
      onClick={() => onOpen(isOpen ? null : what)}
    >
      {says}
    </button>
  );
}

function NewPassword({ onDone }: { onDone: () => void }) {
  const [old, setOld] = useState("");
  const [password, setPassword] = useState("");
  const { trouble, isSending, submit } = useSending(
    () => meApi.password(old, password),
    () => {
      notify.success("The password is changed. You are signed out everywhere else.");
      onDone();
    },
  );
  return (
    <form className="mt-3 grid gap-3" onSubmit={submit}>
      <PasswordField label="The old password" value={old} onChange={setOld} isFirst />
      <PasswordField
        label="The new password"
        value={password}
        onChange={setPassword}
        trouble={trouble}
        hint={NEW_PASSWORD_HINT}
        isNew
      />
      <button
        type="submit"
        className="btn btn-primary btn-sm"
        disabled={isSending || old === "" || password === ""}
      >
        Change it
      </button>
    </form>
  );
}

function EndCodes() {
  const [password, setPassword] = useState("");
  const { trouble, isSending, submit } = useSending(
    () => meApi.endCodes(password),
    () => location.reload(),
  );
  return (
    <form className="mt-3 grid gap-3" onSubmit={submit}>
      <PasswordField
        label="Your password"
        value={password}
        onChange={setPassword}
        trouble={trouble}
        isFirst
      />
      <button type="submit" className="btn btn-sm" disabled={isSending || password === ""}>
        End one-time codes
      </button>
    </form>
  );
}
