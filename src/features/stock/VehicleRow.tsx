import { ChevronDown, ChevronRight, Trash2 } from "lucide-react";
import { useEffect, useId, useRef, useState } from "react";
import { LONGEST_NAME } from "@/exchange/deal-document";
import { inNotation } from "@/exchange/notation";
import { LONGEST_NUMBER } from "@/exchange/stock/limits";
import type { VehicleFile } from "@/exchange/stock/stock.schema";
import { type VehicleFact, vehicleColumn } from "@/exchange/stock/vehicle-columns";
import type { Answer } from "@/features/api/client";
import { reasonOf } from "@/features/api/reason-of";
import { stockApi } from "@/features/api/stock";
import { notify } from "@/features/notices/notify";
import { useAskBeforeLeaving } from "@/features/typing/ask-before-leaving";
import type { KeptVehicle, VehicleCosts } from "@/server/contract";
import { FactField } from "./FactField";
import {
  isAsKept,
  readTexts,
  type TypedVehicle,
  textsOf,
  type VehicleField,
  type VehicleTexts,
} from "./vehicle-texts";

/** What stands in the line of a vehicle; the rest below it, once that is opened. */
export const IN_LINE = ["modelYear", "condition", "distance", "priceMinor", "listPriceMinor"] as const;
export const OF_DEALER = ["costMinor", "invoiceMinor"] as const;
const BELOW = ["kind", "identification", "bookValueMinor", "bookGuide", "bookDate"] as const;

export type RowProps = {
  /** Null for one that is being added. */
  vehicle: KeptVehicle | null;
  /** What it cost the dealer; undefined while that is not asked for. */
  costs: VehicleCosts | undefined;
  at: TypedVehicle;
  onKept: (vehicle: KeptVehicle) => void;
  onGone: () => void;
  /** It is not what is shown here any more. */
  onChangedElsewhere: () => void;
};

const OTHERS_CHANGE =
  "Somebody else has changed it meanwhile, so this was not done. Escape shows what it is now; Enter keeps what is typed here.";

const isConflict = (answer: Answer<unknown>) => answer.kind === "refused" && answer.status === 409;

/** A vehicle, to be changed where it stands: kept when its line is left. */
export function VehicleRow(props: RowProps) {
  const { vehicle, costs, at, onKept, onGone, onChangedElsewhere } = props;
  const kept: Partial<VehicleFile> | null = vehicle && { ...vehicle, ...costs };
  const withCosts = costs !== undefined;
  const [typed, setTyped] = useState<VehicleTexts>({});
  const [problem, setProblem] = useState<{ field: VehicleField | null; sentence: string } | null>(null);
  const [isOpen, setOpen] = useState(false);
  const id = useId();
  const texts = { ...textsOf(kept, at), ...typed };
  const isTyped = Object.keys(typed).length > 0;
  /** What was in view as the typing began; undefined once it was told that it is not that any more. */
  const begun = useRef(vehicle);
  if (!isTyped) begun.current = vehicle;
  const read = isTyped ? readTexts(texts, withCosts, at) : null;
  const unread = read && "sentence" in read ? read : null;
  useAskBeforeLeaving(unread !== null);
  const sayWhyNot = (reason: string, answer: Answer<unknown>) => {
    const isOthers = isConflict(answer);
    setProblem({ field: null, sentence: isOthers ? OTHERS_CHANGE : reason });
    if (isOthers) {
      begun.current = null;
      onChangedElsewhere();
    }
  };
  /** Where somebody else has changed meanwhile what is typed here, the version before: it is told, and not undone. */
  const versionInView = (now: KeptVehicle): number => {
    const before = begun.current;
    if (!before) return now.version;
    const [then, present] = [textsOf(before, at), textsOf(now, at)];
    const isOther = (Object.keys(typed) as VehicleField[]).some(name => then[name] !== present[name]);
    return isOther ? before.version : now.version;
  };
  const keep = async () => {
    if (!read) return;
    if ("sentence" in read) {
      // A line that was only begun is not finished yet.
      if (vehicle || read.field !== "description") setProblem(read);
      return;
    }
    setProblem(null);
    if (kept && isAsKept(kept, read)) {
      setTyped({});
      return;
    }
    const answer = vehicle
      ? await stockApi.change(vehicle.id, versionInView(vehicle), read)
      : await added(read);
    if (answer.kind === "done") {
      setTyped({});
      onKept(answer.value);
    } else sayWhyNot(`Not kept: ${reasonOf(answer)}`, answer);
  };
  // A page that is left does not say that its lines are.
  useEffect(() => {
    if (!isTyped) return;
    const leave = () => void keep();
    window.addEventListener("pagehide", leave);
    return () => window.removeEventListener("pagehide", leave);
  });
  const remove = async () => {
    if (!vehicle) return onGone();
    const answer = await stockApi.remove(vehicle.id, vehicle.version);
    if (answer.kind !== "done" && !(answer.kind === "refused" && answer.status === 404)) {
      sayWhyNot(`Still in stock: ${reasonOf(answer)}`, answer);
      return;
    }
    onGone();
    const { version: _version, ...former } = vehicle;
    notify(`${vehicle.description} is out of stock.`, {
      action: {
        label: "Undo",
        onClick: () => void stockApi.add([{ ...former, ...costs }]).then(() => location.reload()),
      },
    });
  };
  const called = vehicle ? vehicle.description : "the new vehicle";
  const field = (name: VehicleField) => (
    <FactField
      column={name === "description" ? null : vehicleColumn(name as VehicleFact)}
      called={called}
      text={texts[name] ?? ""}
      hasFocus={!vehicle && name === "description"}
      isNew={!vehicle}
      longest={name === "description" ? LONGEST_NAME : LONGEST_NUMBER}
      isInvalid={(problem?.field ?? unread?.field) === name}
      describedBy={problem ? `${id}-problem` : undefined}
      onChange={text => setTyped({ ...typed, [name]: text })}
    />
  );
  const inLine = [...IN_LINE, ...(withCosts ? OF_DEALER : [])];
  const leave = {
    onBlur: (event: React.FocusEvent<HTMLElement>) => {
      const next = event.relatedTarget as HTMLElement | null;
      if (next?.closest("tr")?.dataset.vehicle !== (vehicle?.id ?? "new")) void keep();
    },
    onKeyDown: (event: React.KeyboardEvent) => {
      if (event.key === "Enter" && !(event.target as HTMLElement).closest("button")) void keep();
      if (event.key === "Escape") {
        setTyped({});
        setProblem(null);
        if (!vehicle) onGone();
      }
    },
    "data-vehicle": vehicle?.id ?? "new",
  };
  const OPEN = isOpen ? ChevronDown : ChevronRight;
  return (
    <>
      <tr className="border-base-300 border-t align-top hover:bg-base-200" {...leave}>
        <td className="py-0.5 pl-2">{field("stockNumber")}</td>
        <td className="px-1 py-0.5">{field("description")}</td>
        {inLine.map(name => (
          <td key={name} className="px-0.5 py-0.5">
            {field(name)}
          </td>
        ))}
        <td className="px-1 py-2 text-faint text-sm">{at.currency}</td>
        <td className="whitespace-nowrap px-1 py-0.5">
          <button
            type="button"
            className="btn btn-ghost btn-sm btn-square"
            aria-expanded={isOpen}
            aria-label={`${isOpen ? "Less" : "More"} of ${called}`}
            onClick={() => setOpen(!isOpen)}
          >
            <OPEN size={15} aria-hidden="true" />
          </button>
          <button
            type="button"
            className="btn btn-ghost btn-sm btn-square"
            aria-label={vehicle ? `Remove ${vehicle.description} from stock` : "Discard the new vehicle"}
            onClick={() => void remove()}
          >
            <Trash2 size={15} aria-hidden="true" />
          </button>
        </td>
      </tr>
      {problem && (
        <tr>
          <td />
          <td colSpan={inLine.length + 3} className="px-3 pb-1">
            <p id={`${id}-problem`} role="alert" className="text-error text-sm">
              {inNotation(problem.sentence, at.notation)}
            </p>
          </td>
        </tr>
      )}
      {isOpen && (
        <tr {...leave}>
          <td />
          <td colSpan={inLine.length + 3} className="px-1 pb-2">
            <div className="flex flex-wrap gap-x-4 gap-y-1">
              {BELOW.map(name => (
                <div key={name} className={`w-46 ${name === "bookValueMinor" ? "text-right" : ""}`}>
                  <span className="px-2 text-faint text-sm">{vehicleColumn(name).label}</span>
                  {field(name)}
                </div>
              ))}
            </div>
          </td>
        </tr>
      )}
    </>
  );
}

async function added(vehicle: VehicleFile): Promise<Answer<KeptVehicle>> {
  const answer = await stockApi.add([vehicle]);
  if (answer.kind !== "done") return answer;
  const [kept] = answer.value.vehicles;
  return kept ? { kind: "done", value: kept } : { kind: "failing", sentence: "The server kept nothing." };
}
