import { useCallback, useEffect, useState } from "react";
import type { Named } from "@/exchange/deal-document";
import { reasonOf } from "@/features/api/reason-of";
import { recordsApi } from "@/features/api/records";
import { notify } from "@/features/notices/notify";
import type { CountedRecord } from "@/server/contract";
import { useDesk } from "../desk/desk-context";
import { suggestCustomers, suggestVehicles } from "../names/suggestions";
import { useIsFrozen, useNotation } from "../option/option-context";
import { EraseCustomer } from "./EraseCustomer";
import { vehicleFacts } from "./vehicle-facts";

/** Who the deal is for and what it is about: what is known of them, and others that may be the same. */
export function CustomerAndVehicle({ dealId }: { dealId: string }) {
  const { state, show } = useDesk();
  const { customer, vehicle } = state.heading;
  return (
    <section aria-labelledby="who-title" className="card-paper px-4 py-2.5">
      <div className="flex items-center gap-3">
        <h2 id="who-title" className="font-semibold text-lg">
          Customer and vehicle
        </h2>
        <span className="grow" />
        <button type="button" className="btn btn-sm print:hidden" onClick={() => show("desk")}>
          Close
        </button>
      </div>
      <Record member="customer" named={customer} dealId={dealId} />
      <Record member="vehicle" named={vehicle} dealId={dealId} />
    </section>
  );
}

type Member = "customer" | "vehicle";
type Props = { member: Member; named: Named | undefined; dealId: string };

const NONE: Record<Member, string> = {
  customer: "No customer is named yet.",
  vehicle: "No vehicle is named yet, and no purpose.",
};

function Record({ member, named, dealId }: Props) {
  const { notation } = useNotation();
  const [record, setRecord] = useState<CountedRecord | null>(null);
  const [isNew, setNew] = useState(false);
  const id = named?.id;
  const look = useCallback(async () => {
    if (id === undefined) return;
    const answer = await recordsApi.one(member, id, dealId);
    setNew(answer.kind === "refused");
    setRecord(answer.kind === "done" ? answer.value : null);
  }, [member, id, dealId]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: under another name it is looked at anew
  useEffect(() => void look(), [look, named?.name]);
  if (!named) return <p className="mt-2 text-faint">{NONE[member]}</p>;
  const deals = record?.deals ?? 0;
  const facts = record?.vehicle ? vehicleFacts(record.vehicle, notation) : [];
  return (
    <div className="mt-2 border-base-300 border-t pt-2">
      <h3 className="font-semibold">{named.name}</h3>
      <p className="text-faint text-sm">
        {isNew
          ? "Named by this deal alone."
          : deals === 0
            ? "No other deal names it."
            : `${deals === 1 ? "One other deal names" : `${deals} other deals name`} it.`}
      </p>
      {facts.length > 0 && (
        <dl className="mt-1 grid max-w-lg grid-cols-[10rem_1fr] gap-x-3">
          {facts.map(([name, fact]) => [
            <dt key={name} className="text-faint">
              {name}
            </dt>,
            <dd key={`${name} is`}>{fact}</dd>,
          ])}
        </dl>
      )}
      <Alike member={member} named={named} onOne={look} />
      {member === "customer" && !isNew && <EraseCustomer named={named} />}
    </div>
  );
}

type AlikeProps = { member: Member; named: Named; onOne: () => Promise<void> };

/** Others that are called alike: one that is the same is made one with this. */
function Alike({ member, named, onOne }: AlikeProps) {
  const isFrozen = useIsFrozen();
  const { notation } = useNotation();
  const { dispatch } = useDesk();
  const [others, setOthers] = useState<{ id: string; name: string; remark?: string | undefined }[]>([]);
  const [meant, setMeant] = useState<string | null>(null);
  useEffect(() => {
    let isNewest = true;
    // The first name finds whoever is written a little otherwise; vehicles of one maker are not one.
    const [first = ""] = named.name.split(/[\s,]+/);
    const asked =
      member === "customer"
        ? suggestCustomers(first, notation, named)
        : suggestVehicles(named.name, notation, named);
    void asked.then(found => {
      if (isNewest) setOthers(found);
    });
    return () => {
      isNewest = false;
    };
  }, [member, named, notation]);
  if (isFrozen || others.length === 0) return null;
  const makeOne = async (other: Named) => {
    // The one that is known longer stays, so that nothing that is known of it is lost.
    const answer = await recordsApi.makeOne(member, other.id, named.id);
    const isUnsaved = answer.kind === "refused" && answer.status === 404;
    if (answer.kind !== "done" && !isUnsaved) {
      notify.error(`They are still two. ${reasonOf(answer)}`);
      return;
    }
    dispatch({ type: "heading", change: { [member]: { id: other.id, name: other.name } } });
    notify.success(`${other.name} and ${named.name} are one ${member} now.`);
    await onOne();
  };
  return (
    <details className="mt-1 print:hidden">
      <summary className="cursor-pointer text-primary text-sm">
        {others.length === 1 ? "One other is" : `${others.length} others are`} called alike
      </summary>
      <ul>
        {others.map(other => (
          <li key={other.id} className="flex flex-wrap items-baseline gap-x-3 py-0.5">
            <span>{other.name}</span>
            <span className="text-faint text-sm">{other.remark}</span>
            {meant === other.id ? (
              <>
                <button type="button" className="btn btn-primary btn-xs" onClick={() => void makeOne(other)}>
                  Make them one in all their deals
                </button>
                <button type="button" className="btn btn-ghost btn-xs" onClick={() => setMeant(null)}>
                  Leave them two
                </button>
              </>
            ) : (
              <button type="button" className="btn btn-ghost btn-xs" onClick={() => setMeant(other.id)}>
                The same as this one
              </button>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}
