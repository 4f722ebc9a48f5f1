import { useState } from "react";
import type { Person } from "@/exchange/people";
import { meApi, signInApi } from "@/features/api/people";
import { reasonOf } from "@/features/api/reason-of";
import { notify } from "@/features/notices/notify";
import { CodesForm } from "./CodesForm";
import { NEW_PASSWORD_HINT } from "./new-password";
import { PasswordField } from "./PasswordField";
import { roleName } from "./PersonFields";

const leave = () => location.assign("/sign-in");

type Opened = "password" | "codes" | "endCodes" | null;

/** One's own way in: roles, password, one-time codes, and the ways out. */
export function OwnCard({ me }: { me: Person }) {
  const [opened, setOpened] = useState<Opened>(null);
  const isAgain = (what: Opened) => setOpened(opened === what ? null : what);
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
        <button
          type="button"
          className="btn btn-sm"
          aria-expanded={opened === "password"}
          onClick={() => isAgain("password")}
        >
          Change the password
        </button>
        {opened === "password" && <NewPassword onDone={() => setOpened(null)} />}
      </div>
      <div className="mt-3 border-base-300 border-t pt-3">
        <h3 className="font-semibold">One-time codes</h3>
        <p className="mb-2 text-faint text-sm">
          {me.hasCodes
            ? "A code is asked for besides the password."
            : "Whoever has learned the password comes in. With codes they do not."}
        </p>
        {me.hasCodes ? (
          <button
            type="button"
            className="btn btn-sm"
            aria-expanded={opened === "endCodes"}
            onClick={() => isAgain("endCodes")}
          >
            End them
          </button>
        ) : (
          <button
            type="button"
            className="btn btn-sm"
            aria-expanded={opened === "codes"}
            onClick={() => isAgain("codes")}
          >
            Set them up
          </button>
        )}
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

function NewPassword({ onDone }: { onDone: () => void }) {
  const [old, setOld] = useState("");
  const [password, setPassword] = useState("");
  const [trouble, setTrouble] = useState("");
  const change = async () => {
    const answer = await meApi.password(old, password);
    if (answer.kind !== "done") return setTrouble(reasonOf(answer));
    notify.success("The password is changed. You are signed out everywhere else.");
    onDone();
  };
  return (
    <form
      className="mt-3 grid gap-3"
      onSubmit={event => {
        event.preventDefault();
        void change();
      }}
    >
      <PasswordField label="The old password" value={old} onChange={setOld} isFirst />
      <PasswordField
        label="The new password"
        value={password}
        onChange={setPassword}
        trouble={trouble}
        hint={NEW_PASSWORD_HINT}
        isNew
      />
      <button type="submit" className="btn btn-primary btn-sm" disabled={old === "" || password === ""}>
        Change it
      </button>
    </form>
  );
}

function EndCodes() {
  const [password, setPassword] = useState("");
  const [trouble, setTrouble] = useState("");
  const end = async () => {
    const answer = await meApi.endCodes(password);
    if (answer.kind === "done") location.reload();
    else setTrouble(reasonOf(answer));
  };
  return (
    <form
      className="mt-3 grid gap-3"
      onSubmit={event => {
        event.preventDefault();
        void end();
      }}
    >
      <PasswordField
        label="Your password"
        value={password}
        onChange={setPassword}
        trouble={trouble}
        isFirst
      />
      <button type="submit" className="btn btn-sm" disabled={password === ""}>
        End one-time codes
      </button>
    </form>
  );
}
