import { Trash2 } from "lucide-react";
import { useEffect, useId, useState } from "react";
import { currencyDecimals, parseAmount } from "@/core";
import { LONGEST_NAME } from "@/exchange/deal-document";
import { amountIn, inNotation, type Notation } from "@/exchange/notation";
import type { VehicleFile } from "@/exchange/stock/stock.schema";
import type { Answer } from "@/features/api/client";
import { stockApi } from "@/features/api/stock";
import { readTypedAmount } from "@/features/deal/fields/typed-amount";
import { notify } from "@/features/notices/notify";
import { useAskBeforeLeaving } from "@/features/typing/ask-before-leaving";
import type { KeptVehicle } from "@/server/contract";

type Props = {
  /** Null for one that is being added. */
  vehicle: KeptVehicle | null;
  /** What it cost the dealer, in minor units, null where that is not known; undefined while it is not asked for. */
  cost: number | null | undefined;
  currency: string;
  notation: Notation;
  onKept: (vehicle: KeptVehicle) => void;
  onGone: () => void;
  /** It is not what is shown here any more. */
  onChangedElsewhere: () => void;
};

const AMOUNTS = {
  priceMinor: "Asking price",
  costMinor: "Cost to the dealer",
  listPriceMinor: "List price",
} as const;

type AmountName = keyof typeof AMOUNTS;

/** The amounts that are shown: what it cost only where that is asked for. */
const namesShown = (cost: number | null | undefined) =>
  (Object.keys(AMOUNTS) as AmountName[]).filter(name => name !== "costMinor" || cost !== undefined);

type Texts = Record<AmountName | "description", string>;

/** Why something was not kept. */
export function reasonOf(answer: Exclude<Answer<unknown>, { kind: "done" }>): string {
  return answer.kind === "away" ? "The server is away; try again when it is back." : answer.sentence;
}

const OTHERS_CHANGE =
  "Somebody else has changed it meanwhile, so this was not done. Escape shows what it is now; Enter keeps what is typed here.";

const isConflict = (answer: Answer<unknown>) => answer.kind === "refused" && answer.status === 409;

/** A vehicle, to be changed where it stands: kept when its line is left. */
export function VehicleRow(props: Props) {
  const { vehicle, cost, currency, notation, onKept, onGone, onChangedElsewhere } = props;
  const names = namesShown(cost);
  const kept = vehicle && { ...vehicle, ...(cost !== undefined && { costMinor: cost }) };
  const shown = textsOf(kept, currency, notation);
  const [typed, setTyped] = useState<Partial<Texts>>({});
  const [problem, setProblem] = useState<{ name: keyof Texts | null; sentence: string } | null>(null);
  const id = useId();
  const texts = { ...shown, ...typed };
  const isTyped = Object.keys(typed).length > 0;
  const unread = isTyped ? unreadOf(readTexts(texts, names, currency, notation)) : null;
  useAskBeforeLeaving(unread !== null);
  const sayWhyNot = (reason: string, answer: Answer<unknown>) => {
    const isOthers = isConflict(answer);
    setProblem({ name: null, sentence: isOthers ? OTHERS_CHANGE : reason });
    if (isOthers) onChangedElsewhere();
  };
  const keep = async () => {
    const read = readTexts(texts, names, currency, notation);
    if ("sentence" in read) {
      // A line that was only begun is not finished yet.
      if (vehicle || read.name !== "description") setProblem(read);
      return;
    }
    setProblem(null);
    if (vehicle && kept && isSame(kept, read, names)) {
      setTyped({});
      return;
    }
    const answer = vehicle ? await stockApi.change(vehicle.id, vehicle.version, read) : await added(read);
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
    const { id: _, version: _version, ...former } = kept ?? vehicle;
    notify(`${vehicle.description} is out of stock.`, {
      action: { label: "Undo", onClick: () => void stockApi.add([former]).then(() => location.reload()) },
    });
  };
  const field = (name: keyof Texts, label: string, isAmount: boolean) => (
    <input
      className={`field ${isAmount ? "text-right" : ""}`}
      aria-label={vehicle ? `${label} of ${vehicle.description}` : `${label} of the new vehicle`}
      // biome-ignore lint/a11y/noAutofocus: a new line was asked for
      autoFocus={!vehicle && name === "description"}
      inputMode={isAmount ? "decimal" : undefined}
      maxLength={LONGEST_NAME}
      value={texts[name]}
      aria-invalid={problem?.name === name || unread?.name === name}
      aria-describedby={problem ? `${id}-problem` : undefined}
      onChange={event => setTyped({ ...typed, [name]: event.target.value })}
    />
  );
  return (
    <tr
      className="border-base-300 border-t align-top"
      onBlur={event => {
        if (!event.currentTarget.contains(event.relatedTarget)) void keep();
      }}
      onKeyDown={event => {
        if (event.key === "Enter") void keep();
        if (event.key === "Escape") {
          setTyped({});
          setProblem(null);
          if (!vehicle) onGone();
        }
      }}
    >
      <td className="px-3 py-1">
        {field("description", "Description", false)}
        {problem && (
          <p id={`${id}-problem`} role="alert" className="mt-0.5 text-error text-sm">
            {inNotation(problem.sentence, notation)}
          </p>
        )}
      </td>
      {names.map(name => (
        <td key={name} className="px-1 py-1">
          {field(name, AMOUNTS[name], true)}
        </td>
      ))}
      <td className="px-2 py-2.5 text-faint text-sm">{currency}</td>
      <td className="px-1 py-1">
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
  );
}

async function added(vehicle: VehicleFile): Promise<Answer<KeptVehicle>> {
  const answer = await stockApi.add([vehicle]);
  if (answer.kind !== "done") return answer;
  const [kept] = answer.value.vehicles;
  return kept ? { kind: "done", value: kept } : { kind: "failing", sentence: "The server kept nothing." };
}

type ShownVehicle = Omit<VehicleFile, "currency">;

function textsOf(vehicle: ShownVehicle | null, currency: string, notation: Notation): Texts {
  const amount = (minor: number | null | undefined) =>
    minor === null || minor === undefined ? "" : amountIn(minor, currency, notation);
  return {
    description: vehicle?.description ?? "",
    priceMinor: amount(vehicle?.priceMinor),
    costMinor: amount(vehicle?.costMinor),
    listPriceMinor: amount(vehicle?.listPriceMinor),
  };
}

function readTexts(
  texts: Texts,
  names: readonly AmountName[],
  currency: string,
  notation: Notation,
): VehicleFile | { name: keyof Texts; sentence: string } {
  const description = texts.description.replace(/\s+/g, " ").trim();
  const amounts: Pick<VehicleFile, AmountName> = { priceMinor: null, listPriceMinor: null };
  for (const name of names) {
    const text = texts[name].trim();
    amounts[name] = null;
    if (text === "") continue;
    const read = readTypedAmount(text, currency, notation);
    if ("sentence" in read) return { name, sentence: `${AMOUNTS[name]}: ${read.sentence}` };
    amounts[name] = parseAmount(read.amount, currencyDecimals(currency) ?? 2) ?? null;
  }
  if (description === "") return { name: "description", sentence: "Say what it is called." };
  return { description, currency, ...amounts };
}

/** What cannot be read; a new line that has no name yet is one, too. */
const unreadOf = (read: ReturnType<typeof readTexts>) => ("sentence" in read ? read : null);

const isSame = (kept: ShownVehicle, read: VehicleFile, names: readonly AmountName[]) =>
  kept.description === read.description && names.every(name => kept[name] === read[name]);
