import { useState } from "react";
import type { Person } from "@/exchange/people";
import { peopleApi } from "@/features/api/people";
import { reasonOf } from "@/features/api/reason-of";
import { notify } from "@/features/notices/notify";
import { PersonFields } from "./PersonFields";

type Props = {
  /** Null where somebody is added. */
  person: Person | null;
  branches: readonly string[];
  /** With whom was added. */
  onDone: (added?: Person) => Promise<void>;
  onCancel: () => void;
};

/** What an administrator settles of somebody. */
export function PersonForm({ person, branches, onDone, onCancel }: Props) {
  const [draft, setDraft] = useState({
    name: person?.name ?? "",
    username: person?.username ?? "",
    roles: person?.roles ?? [],
    branch: person?.branch ?? "",
  });
  const [trouble, setTrouble] = useState("");
  const save = async (hasLeft = person?.hasLeft ?? false) => {
    const answer = person
      ? await peopleApi.change(person.id, { ...draft, hasLeft })
      : await peopleApi.add(draft);
    if (answer.kind !== "done") return setTrouble(reasonOf(answer));
    await onDone(!person && "person" in answer.value ? answer.value.person : undefined);
  };
  const signOut = async () => {
    const answer = await peopleApi.signOut(person?.id ?? "");
    if (answer.kind === "done") notify.success(`${person?.name} is signed out everywhere.`);
    else setTrouble(reasonOf(answer));
  };
  return (
    <form
      aria-label={person ? `Change ${person.name}` : "Add a person"}
      className="my-2 grid gap-3 rounded-box border border-base-300 px-3 py-3"
      onSubmit={event => {
        event.preventDefault();
        void save();
      }}
    >
      <PersonFields draft={draft} branches={branches} onChange={setDraft} />
      <p role="alert" className="text-error">
        {trouble}
      </p>
      <div className="flex flex-wrap gap-2">
        <button
          type="submit"
          className="btn btn-primary btn-sm"
          disabled={draft.name.trim() === "" || draft.username === ""}
        >
          {person ? "Save" : "Add"}
        </button>
        <button type="button" className="btn btn-ghost btn-sm" onClick={onCancel}>
          Not now
        </button>
        {person && (
          <>
            <button type="button" className="btn btn-ghost btn-sm ml-auto" onClick={() => void signOut()}>
              Sign out everywhere
            </button>
            <button type="button" className="btn btn-ghost btn-sm" onClick={() => void save(!person.hasLeft)}>
              {person.hasLeft ? "Is back" : "Has left"}
            </button>
          </>
        )}
      </div>
    </form>
  );
}
