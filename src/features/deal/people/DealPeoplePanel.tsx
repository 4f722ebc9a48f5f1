import { Plus, Trash2 } from "lucide-react";
import { useCallback, useEffect, useRef, useState } from "react";
import type { DealPeople, Person } from "@/exchange/people";
import { LONGEST_BRANCH, MOST_PEOPLE_OF_A_DEAL } from "@/exchange/people";
import { dealPeopleApi, peopleApi } from "@/features/api/people";
import { reasonOf } from "@/features/api/reason-of";
import { focusSoon } from "@/features/focus/focus-soon";
import { notify } from "@/features/notices/notify";
import { useMay } from "@/features/people/me-context";
import { Panel } from "@/features/shell/Panel";
import type { ColleaguesReply } from "@/server/contract";

type Props = { dealId: string; onClose: () => void };

/** Whose deal it is, in which branch, and who else works on it with which share of its income. */
export function DealPeoplePanel({ dealId, onClose }: Props) {
  const mayChange = useMay("changeDeals");
  const [kept, setKept] = useState<DealPeople | null>(null);
  const [colleagues, setColleagues] = useState<ColleaguesReply>({ people: [], branches: [] });
  const [trouble, setTrouble] = useState("");
  const load = useCallback(async () => {
    const [people, all] = await Promise.all([dealPeopleApi.of(dealId), peopleApi.all()]);
    if (people.kind === "done") setKept(people.value);
    else setTrouble(reasonOf(people));
    if (all.kind === "done") setColleagues(all.value);
  }, [dealId]);
  useEffect(() => void load(), [load]);
  const save = async (people: DealPeople) => {
    const answer = await dealPeopleApi.save(dealId, people);
    if (answer.kind === "done") {
      notify.success("It is kept who works on this deal.");
      onClose();
    } else setTrouble(reasonOf(answer));
  };
  return (
    <Panel
      label="Whose deal it is"
      isRightwards
      onClose={isBack => {
        onClose();
        if (isBack) focusSoon("[data-deal-people]");
      }}
    >
      <div className="overflow-y-auto px-4 py-3">
        {kept && (
          <DealPeopleForm
            kept={kept}
            colleagues={colleagues}
            mayChange={mayChange}
            trouble={trouble}
            onSave={people => void save(people)}
          />
        )}
        {!kept && <p className="text-faint">{trouble || "Opening …"}</p>}
      </div>
    </Panel>
  );
}

type FormProps = {
  kept: DealPeople;
  colleagues: ColleaguesReply;
  mayChange: boolean;
  trouble: string;
  onSave: (people: DealPeople) => void;
};

const ALL = 100;

function DealPeopleForm({ kept, colleagues: { people, branches }, mayChange, trouble, onSave }: FormProps) {
  const [draft, setDraft] = useState(kept);
  const owner = useRef<HTMLSelectElement>(null);
  useEffect(() => owner.current?.focus(), []);
  const put = (change: Partial<DealPeople>) => setDraft({ ...draft, ...change });
  const others = draft.people.reduce((sum, { percent }) => sum + (Number(percent) || 0), 0);
  const ownersShare = Math.max(ALL - others, 0);
  return (
    <form
      onSubmit={event => {
        event.preventDefault();
        onSave(draft);
      }}
    >
      <fieldset disabled={!mayChange} className="grid gap-3">
        <div className="grid grid-cols-2 gap-3">
          <div className="grid gap-0.5">
            <span className="text-faint text-sm" aria-hidden="true">
              Whose deal it is
            </span>
            <PersonSelect
              innerRef={owner}
              label="Whose deal it is"
              people={people}
              value={draft.owner}
              none="Nobody’s"
              onChange={next => put({ owner: next, ...branchWith(people, next) })}
            />
          </div>
          <label className="grid gap-0.5">
            <span className="text-faint text-sm">Branch</span>
            <input
              className="field"
              value={draft.branch ?? ""}
              maxLength={LONGEST_BRANCH}
              list="deal-branches"
              onChange={({ target }) => put({ branch: target.value || null })}
            />
            <datalist id="deal-branches">
              {branches.map(each => (
                <option key={each} value={each} />
              ))}
            </datalist>
          </label>
        </div>
        <div>
          <h3 className="font-semibold">Who else works on it</h3>
          <p className="text-faint text-sm">
            Each sees the deal, and has the percent of its income. {ownersShare} % is whose deal it is.
          </p>
          {draft.people.map((share, place) => {
            const change = (part: Partial<typeof share>) =>
              put({ people: draft.people.map((each, at) => (at === place ? { ...each, ...part } : each)) });
            return (
              <div
                // biome-ignore lint/suspicious/noArrayIndexKey: a line is told by its place while it is typed
                key={place}
                className="mt-1 grid grid-cols-[1fr_8rem_4.5rem_1.5rem_2rem] items-center gap-2"
              >
                <PersonSelect
                  label={`Person ${place + 1}`}
                  people={people}
                  value={share.who || null}
                  onChange={who => change({ who: who ?? "" })}
                />
                <input
                  aria-label={`As what person ${place + 1} works on it`}
                  className="field"
                  placeholder="As what"
                  value={share.role}
                  maxLength={LONGEST_BRANCH}
                  onChange={({ target }) => change({ role: target.value })}
                />
                <input
                  aria-label={`Percent of person ${place + 1}`}
                  className="field text-right"
                  inputMode="decimal"
                  value={share.percent}
                  maxLength={6}
                  onChange={({ target }) => change({ percent: target.value })}
                />
                <span className="text-faint text-sm">%</span>
                <button
                  type="button"
                  aria-label={`Remove person ${place + 1}`}
                  className="btn btn-ghost btn-sm btn-square"
                  onClick={() => put({ people: draft.people.filter((_, at) => at !== place) })}
                >
                  <Trash2 size={16} aria-hidden="true" />
                </button>
              </div>
            );
          })}
          {draft.people.length < MOST_PEOPLE_OF_A_DEAL && (
            <button
              type="button"
              className="btn btn-ghost btn-sm mt-1"
              onClick={() => put({ people: [...draft.people, { who: "", role: "", percent: "0" }] })}
            >
              <Plus size={16} aria-hidden="true" />
              Add a person
            </button>
          )}
        </div>
        <p role="alert" className="text-error text-sm">
          {trouble}
        </p>
        <div>
          <button type="submit" className="btn btn-primary btn-sm">
            Keep it
          </button>
        </div>
      </fieldset>
    </form>
  );
}

/** Handed over, a deal goes to the branch of whose it is then. */
function branchWith(people: readonly Person[], id: string | null): Partial<DealPeople> {
  const branch = people.find(person => person.id === id)?.branch;
  return branch ? { branch } : {};
}

type SelectProps = {
  people: readonly Person[];
  value: string | null;
  label?: string;
  none?: string;
  innerRef?: React.Ref<HTMLSelectElement>;
  onChange: (id: string | null) => void;
};

function PersonSelect({ people, value, label, none = "Choose …", innerRef, onChange }: SelectProps) {
  return (
    <select
      ref={innerRef}
      aria-label={label}
      className="field"
      value={value ?? ""}
      onChange={({ target }) => onChange(target.value || null)}
    >
      <option value="">{none}</option>
      {people
        .filter(({ id, hasLeft }) => !hasLeft || id === value)
        .map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
    </select>
  );
}
