import { useMe } from "@/features/people/me-context";
import type { RegisterAsked, RegisterPage } from "@/server/contract";

type Whose = Pick<RegisterAsked, "owner" | "branch">;

type Props = {
  owners: NonNullable<RegisterPage["owners"]>;
  asked: Whose;
  onChange: (whose: Whose) => void;
};

/** Whose deals are meant: one's own, another's, or a branch's. */
export function WhoseFilter({ owners: { people, branches }, asked, onChange }: Props) {
  const me = useMe();
  const value = asked.owner ? `owner ${asked.owner}` : asked.branch ? `branch ${asked.branch}` : "";
  const put = (text: string) => {
    const [kind, ...rest] = text.split(" ");
    const named = rest.join(" ");
    onChange(kind === "owner" ? { owner: named } : kind === "branch" ? { branch: named } : {});
  };
  return (
    <select
      aria-label="Whose deals"
      className="field w-auto [field-sizing:content]"
      value={value}
      onChange={({ target }) => put(target.value)}
    >
      <option value="">Anybody’s</option>
      {me && <option value={`owner ${me.id}`}>Mine</option>}
      {branches.map(branch => (
        <option key={branch} value={`branch ${branch}`}>
          {branch}
        </option>
      ))}
      {people
        .filter(({ id }) => id !== me?.id)
        .map(({ id, name }) => (
          <option key={id} value={`owner ${id}`}>
            {name}’s
          </option>
        ))}
    </select>
  );
}
