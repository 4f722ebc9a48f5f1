import { Link2, UserPlus } from "lucide-react";
import { useState } from "react";
import type { Person } from "@/exchange/people";
import { peopleApi } from "@/features/api/people";
import { reasonOf } from "@/features/api/reason-of";
import { notify } from "@/features/notices/notify";
import { ColumnHeads } from "./ColumnHeads";
import { HandedLink } from "./HandedLink";
import { useMay } from "./me-context";
import { roleName } from "./PersonFields";
import { PersonForm } from "./PersonForm";

type Props = { people: readonly Person[]; branches: readonly string[]; onChanged: () => Promise<void> };

type Handed = { name: string; path: string };

/** Everybody who works here, and who has left: an administrator adds and changes them. */
export function PeopleCard({ people, branches, onChanged }: Props) {
  const mayKeep = useMay("keepPeople");
  const mayLink = useMay("handLinks");
  const [edited, setEdited] = useState<Person | "new" | null>(null);
  const [handed, setHanded] = useState<Handed | null>(null);
  const hand = async ({ id, name }: Pick<Person, "id" | "name">) => {
    const answer = await peopleApi.link(id);
    if (answer.kind === "done") setHanded({ name, path: answer.value.path });
    else notify.error(reasonOf(answer));
  };
  const done = async (added?: Person) => {
    setEdited(null);
    await onChanged();
    if (added) await hand(added);
  };
  return (
    <section aria-labelledby="people-title" className="card-paper min-w-0 px-4 py-3">
      <div className="flex flex-wrap items-center gap-3">
        <h2 id="people-title" className="font-semibold text-lg">
          Who works here
        </h2>
        {mayKeep && (
          <button type="button" className="btn btn-sm ml-auto" onClick={() => setEdited("new")}>
            <UserPlus size={16} aria-hidden="true" />
            Add a person
          </button>
        )}
      </div>
      {handed && <HandedLink {...handed} onClose={() => setHanded(null)} />}
      {edited !== null && (
        <PersonForm
          key={edited === "new" ? "new" : edited.id}
          person={edited === "new" ? null : edited}
          branches={branches}
          onDone={done}
          onCancel={() => setEdited(null)}
        />
      )}
      <div className="mt-2 overflow-x-auto">
        <table className="w-full">
          <ColumnHeads
            names={["Name", "Roles", "Branch", ...(mayKeep ? ["Codes"] : [])]}
            unseen="What can be done"
          />
          <tbody>
            {people.map(person => (
              <tr
                key={person.id}
                className={`border-base-300 border-t ${person.hasLeft ? "text-faint" : ""}`}
              >
                <td className="py-1.5 pr-3">
                  <span className="font-semibold">{person.name}</span>
                  {person.username && <span className="text-faint text-sm"> {person.username}</span>}
                  {person.hasLeft && <span className="text-sm"> · has left</span>}
                </td>
                <td className="py-1.5 pr-3 text-sm">{person.roles.map(roleName).join(", ") || "none"}</td>
                <td className="py-1.5 pr-3 text-sm">{person.branch}</td>
                {mayKeep && <td className="py-1.5 pr-3 text-sm">{person.hasCodes ? "yes" : "no"}</td>}
                <td className="whitespace-nowrap py-1 text-right">
                  {mayLink && !person.hasLeft && (mayKeep || !person.roles.includes("administrator")) && (
                    <button type="button" className="btn btn-ghost btn-sm" onClick={() => void hand(person)}>
                      <Link2 size={16} aria-hidden="true" />
                      Link<span className="sr-only"> for {person.name}</span>
                    </button>
                  )}
                  {mayKeep && (
                    <button type="button" className="btn btn-ghost btn-sm" onClick={() => setEdited(person)}>
                      Change<span className="sr-only"> {person.name}</span>
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
