import { useId } from "react";
import { LONGEST_BRANCH, LONGEST_PERSON_NAME, ROLE_NAMES, ROLES, type Role } from "@/exchange/people";
import { SaidField } from "./SaidField";

/** A person as it is typed. */
export type PersonDraft = { name: string; username: string; roles: Role[]; branch: string };

type Props = {
  draft: PersonDraft;
  branches: readonly string[];
  onChange: (draft: PersonDraft) => void;
};

/** Who somebody is, what they sign in by, where they work, and their roles. */
export function PersonFields({ draft, branches, onChange }: Props) {
  const list = useId();
  const put = (change: Partial<PersonDraft>) => onChange({ ...draft, ...change });
  const { name, username, roles, branch } = draft;
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-3">
        <SaidField
          label="Name"
          value={name}
          maxLength={LONGEST_PERSON_NAME}
          onChange={next => put({ name: next })}
        />
        <SaidField
          label="Signs in as"
          value={username}
          maxLength={40}
          onChange={next => put({ username: next.trim() })}
        />
        <SaidField
          label="Branch, where there are several"
          value={branch}
          maxLength={LONGEST_BRANCH}
          list={list}
          onChange={next => put({ branch: next })}
        />
        <datalist id={list}>
          {branches.map(each => (
            <option key={each} value={each} />
          ))}
        </datalist>
      </div>
      <fieldset>
        <legend className="text-faint text-sm">Roles: one or more</legend>
        <div className="mt-1 grid gap-x-4 gap-y-1 sm:grid-cols-2">
          {ROLE_NAMES.map(role => (
            <label key={role} className="flex cursor-pointer items-baseline gap-2">
              <input
                type="checkbox"
                className="checkbox checkbox-sm translate-y-1"
                checked={roles.includes(role)}
                onChange={({ target }) =>
                  put({ roles: target.checked ? [...roles, role] : roles.filter(each => each !== role) })
                }
              />
              <span>
                <span className="font-semibold">{roleName(role)}</span>
                <span className="block text-faint text-sm leading-tight">{ROLES[role]}</span>
              </span>
            </label>
          ))}
        </div>
      </fieldset>
    </>
  );
}

/** @example roleName("seller") // "Seller" */
export const roleName = (role: Role) => `${role[0]?.toUpperCase()}${role.slice(1)}`;
