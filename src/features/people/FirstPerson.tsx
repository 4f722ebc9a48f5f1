import { useState } from "react";
import { peopleApi } from "@/features/api/people";
import { NEW_PASSWORD_HINT } from "./new-password";
import { PasswordField } from "./PasswordField";
import { type PersonDraft, PersonFields } from "./PersonFields";
import { useSending } from "./use-sending";

const DRAFT: PersonDraft = {
  name: "",
  username: "",
  roles: ["administrator", "manager", "officer"],
  branch: "",
};

/** Nobody has a name yet: the first one who gets one is an administrator, and from then on everybody signs in. */
export function FirstPerson({ branches }: { branches: readonly string[] }) {
  const [draft, setDraft] = useState(DRAFT);
  const [password, setPassword] = useState("");
  const { trouble, isSending, submit } = useSending(
    () => peopleApi.add({ ...draft, password }),
    () => location.assign("/people"),
  );
  return (
    <form
      aria-labelledby="first-title"
      className="card-paper grid max-w-2xl gap-3 px-4 py-3"
      onSubmit={submit}
    >
      <h2 id="first-title" className="font-semibold text-lg">
        Make the first person
      </h2>
      <p>
        Nobody has a name here yet, so whoever is at this machine sees and does everything. Once the first
        person is made, everybody signs in, each sees what their roles show, and who did what is kept. There
        is no way back to a desk without names.
      </p>
      <PersonFields draft={draft} branches={branches} onChange={setDraft} />
      <PasswordField
        label="Password"
        value={password}
        onChange={setPassword}
        hint={NEW_PASSWORD_HINT}
        isNew
      />
      <p role="alert" className="text-error">
        {trouble}
      </p>
      <div>
        <button
          type="submit"
          className="btn btn-primary btn-sm"
          disabled={isSending || draft.name.trim() === "" || draft.username === "" || password === ""}
        >
          Make the first person and sign in
        </button>
      </div>
    </form>
  );
}
