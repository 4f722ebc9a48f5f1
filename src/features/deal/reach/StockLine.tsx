import { FREQUENCY_NAMES } from "@/core";
import type { KeptVehicle } from "@/server/contract";
import { useOption } from "../option/option-context";

type LineProps = {
  vehicle: KeptVehicle;
  payment: number | null;
  money: (minor: number) => string;
  onQuote: () => void;
};

/** A vehicle of the stock that fits, with what it would cost each time. */
export function StockLine({ vehicle, payment, money, onQuote }: LineProps) {
  const { option } = useOption();
  const { period } = FREQUENCY_NAMES[option.inputs.plan.frequency];
  return (
    <li className="grid grid-cols-[1fr_7rem_10rem_auto] items-center gap-x-3 border-base-300 border-b py-1 text-right last:border-b-0">
      <span className="text-left">{vehicle.description}</span>
      <span>{money(vehicle.priceMinor ?? 0)}</span>
      <span>
        <strong className="font-semibold">{payment === null ? "–" : money(payment)}</strong>{" "}
        <span className="text-faint text-sm">a {period}</span>
      </span>
      <button
        type="button"
        className="btn btn-sm"
        aria-label={`Quote ${vehicle.description}`}
        onClick={onQuote}
      >
        Quote it
      </button>
    </li>
  );
}
