import { lazy, type ReactNode, Suspense, useState } from "react";
import {
  AMOUNT_LINE_NAMES,
  AMOUNT_LINES,
  MOST_EXTRAS,
  MOST_FEES,
  MOST_PAYOFFS,
  MOST_REBATES,
  MOST_TAXES,
  MOST_TRADE_INS,
} from "@/core";
import type { Settings } from "@/exchange/settings";
import { focusSoon } from "@/features/focus/focus-soon";
import { Toolbar } from "@/features/focus/Toolbar";
import { useDesk } from "../desk/desk-context";
import { type LineOf, type ListName, linesOf } from "../fields";
import { useOption } from "../option/option-context";
import { fieldId } from "../parts/field-id";
import type { UsualList } from "./UsualLines";
import { type Opening, useStructure } from "./use-structure";

type Addable = {
  [List in ListName]: { list: List; name: string; most: number; line: LineOf<List> };
}[ListName];

// Shown now and then: the screen starts without the code for it.
const UsualLines = lazy(() => import("./UsualLines").then(({ UsualLines: lines }) => ({ default: lines })));

const TAX: Addable = {
  list: "taxes",
  name: "tax",
  most: MOST_TAXES,
  line: { name: "Sales tax", rate: "0", on: ["price", "fees", "extras"] },
};
const FEE: Addable = { list: "fees", name: "fee", most: MOST_FEES, line: { name: "Fee", amount: "0" } };
const WITHOUT_TAX: readonly Addable[] = [
  FEE,
  { list: "extras", name: "extra", most: MOST_EXTRAS, line: { name: "Extra", amount: "0" } },
  { list: "rebates", name: "rebate", most: MOST_REBATES, line: { name: "Rebate", amount: "0" } },
  {
    list: "tradeIns",
    name: "trade-in",
    most: MOST_TRADE_INS,
    line: { allowance: "0", owed: "0" },
  },
];
const WITH_TAX: readonly Addable[] = [TAX, ...WITHOUT_TAX];
const OF_A_PERSONAL_LOAN: readonly Addable[] = [
  FEE,
  { list: "payoffs", name: "debt paid off", most: MOST_PAYOFFS, line: { name: "Debt", amount: "0" } },
];

/** Where the focus goes back to when a choice is made. */
const buttonId = (list: ListName) => `add-${list}`;

/** The list of the house's settings from which lines of a list can be taken, where it has any. */
const usualOf = (list: ListName, house: Settings): UsualList | undefined => {
  if (list === "taxes") return house.taxProfiles?.length ? list : undefined;
  return (list === "fees" || list === "extras") && house[list]?.length ? list : undefined;
};

type Props = { opening: Opening /** What else can be added. */; children?: ReactNode };

/**
 * The lines that a structure can have besides: one press adds one, open to be named and filled in; where the house has
 * usual ones, it shows them first.
 */
export function AddLine({ opening, children }: Props) {
  const { house } = useDesk();
  const { structure, add, change } = useStructure();
  const [shown, setShown] = useState<UsualList | null>(null);
  const ofVehicle = useOption().option.desk.hasTaxLines ? WITH_TAX : WITHOUT_TAX;
  const addable = structure.purpose === undefined ? ofVehicle : OF_A_PERSONAL_LOAN;
  // The first trade-in has its place without being added.
  const nextIndex = (list: ListName) =>
    Math.max(linesOf(structure, list).length, list === "tradeIns" ? 1 : 0);
  const addOwn = ({ list, line }: Addable) => {
    if (list === "tradeIns" && linesOf(structure, list).length === 0) add(list, line);
    add(list, line);
    opening.setOpen({ list, index: nextIndex(list) });
  };
  const shownLine = addable.find(({ list }) => list === shown);
  return (
    <>
      <Toolbar label="Add a line" className="mt-1.5 flex flex-wrap gap-x-3 gap-y-1 text-sm print:hidden">
        <span className="text-faint">Add a</span>
        {addable
          .filter(({ list, most }) => nextIndex(list) < most)
          .map(each => {
            const usual = usualOf(each.list, house);
            return (
              <AddButton
                key={each.list}
                id={buttonId(each.list)}
                name={each.name}
                isOpen={usual && shown === usual}
                onClick={() => (usual ? setShown(shown === usual ? null : usual) : addOwn(each))}
              />
            );
          })}
        {structure.purpose !== undefined && structure.down === undefined && (
          <AddButton
            name="cash down"
            onClick={() => {
              change(now => ({ ...now, down: { amount: "0" } }));
              focusSoon(`#${fieldId("down")}`);
            }}
          />
        )}
        {AMOUNT_LINE_NAMES.filter(line => structure[line] === undefined).map(line => (
          <AddButton
            key={line}
            name={AMOUNT_LINES[line].label.toLowerCase()}
            onClick={() => {
              change(now => ({ ...now, [line]: "0" }));
              focusSoon(`#${fieldId(line)}`);
            }}
          />
        ))}
        {children}
      </Toolbar>
      {shown && shownLine && (
        <Suspense fallback={null}>
          <UsualLines
            list={shown}
            house={house}
            onAnother={() => addOwn(shownLine)}
            onDone={() => {
              setShown(null);
              document.getElementById(buttonId(shown))?.focus();
            }}
          />
        </Suspense>
      )}
    </>
  );
}

type AddButtonProps = {
  id?: string;
  name: string;
  /** Whether what can be added is shown, where there is a choice. */
  isOpen?: boolean | undefined;
  onClick: () => void;
};

export function AddButton({ id, name, isOpen, onClick }: AddButtonProps) {
  return (
    <button
      id={id}
      type="button"
      aria-expanded={isOpen}
      className="cursor-pointer font-semibold text-primary"
      onClick={onClick}
    >
      + {name}
    </button>
  );
}
