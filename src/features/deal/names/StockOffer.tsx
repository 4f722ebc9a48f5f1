import { amountIn } from "@/exchange/notation";
import type { StockVehicle } from "@/server/contract";
import { stockFigures } from "../desk/stock-figures";
import { useNotation, useOption } from "../option/option-context";

type Props = { vehicle: StockVehicle; onDone: () => void };

/** A vehicle that was picked has other prices in stock than the deal: they are offered, never just put in. */
export function StockOffer({ vehicle, onDone }: Props) {
  const { option, act } = useOption();
  const { notation } = useNotation();
  const figures = stockFigures(option.inputs, vehicle);
  if (figures.length === 0) return null;
  const money = (minor: number) => amountIn(minor, vehicle.currency, notation);
  const take = () => {
    for (const { field, minor } of figures) {
      act({ type: "typed", field, text: money(minor) });
      act({ type: "left", field });
    }
    onDone();
  };
  return (
    <p role="status" className="flex basis-full flex-wrap items-center gap-x-3 gap-y-1">
      <span>
        {figures.map(({ name, minor }) => `${name}${money(minor)}`).join(", ")} in stock: take{" "}
        {figures.length === 1 ? "it" : "them"}?
      </span>
      <button type="button" className="btn btn-primary btn-sm" onClick={take}>
        Take {figures.length === 1 ? "it" : "them"}
      </button>
      <button type="button" className="btn btn-ghost btn-sm" onClick={onDone}>
        Leave the deal as it is
      </button>
    </p>
  );
}
