import { type DownKind, downKind } from "../fields";
import { amountOf, isFoundIn } from "../option";
import { useOption } from "../option/option-context";
import { ChoiceInWords } from "../parts/ChoiceInWords";
import { NamedRow } from "./NamedRow";
import { useStructure } from "./use-structure";

const KINDS: [DownKind, string][] = [
  ["amount", "as an amount"],
  ["percent", "as % of the price"],
  ["percentOfTotal", "as % of everything"],
  ["dueAtSigning", "from a sum at signing"],
];

/** The cash down, however it is given, said the other way below. */
export function CashDownRow() {
  const { tally, runningOf } = useStructure();
  return (
    <NamedRow
      line="down"
      stale={tally.stale}
      usual="Cash down"
      sign="−"
      field="down"
      running={runningOf("down")[0] ?? ""}
      remark={<Remark />}
    />
  );
}

function Remark() {
  const { option, act } = useOption();
  const { tally, money, say } = useStructure();
  const { inputs } = option;
  const down = amountOf(tally, "down");
  const { price = 0 } = tally.reckoned ?? {};
  if (down === undefined) return null;
  const kind = downKind(inputs);
  const share = price > 0 ? ((down / price) * 100).toFixed(1) : "0.0";
  const whole = inputs.structure.purpose === undefined ? "price" : "amount asked for";
  if (tally.lines.some(({ figure, sign }) => figure === "down" && sign > 0))
    return `${money(down)} not paid: capitalized`;
  const said = kind === "amount" ? say(`${share} % of the ${whole}`) : `${money(down)} in cash`;
  if (isFoundIn(option, "down")) return said;
  return (
    <>
      {said} ·{" "}
      <ChoiceInWords
        label="How the cash down is given"
        value={kind}
        choices={KINDS}
        onChange={chosen => act({ type: "downKind", kind: chosen })}
      />
    </>
  );
}
