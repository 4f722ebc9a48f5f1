import { useMemo, useState } from "react";
import { extrasOneByOne } from "@/core";
import { isStale, shownQuote } from "../option";
import { useOption } from "../option/option-context";
import { useStructure } from "./use-structure";

/** What each extra does to the payment, once somebody asks: with it and without it, all and none. */
export function ExtrasOneByOne() {
  const [isOpen, setOpen] = useState(false);
  return (
    <div className="col-span-4 pl-3">
      <button
        type="button"
        className="min-h-6 cursor-pointer text-primary text-sm underline decoration-dotted underline-offset-2"
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
      >
        {isOpen ? "Hide extras one by one" : "Extras one by one"}
      </button>
      {isOpen && <Extras />}
    </div>
  );
}

function Extras() {
  const { option } = useOption();
  const { money, say, structure } = useStructure();
  const quote = shownQuote(option);
  const one = useMemo(() => quote && extrasOneByOne(quote), [quote]);
  if (!one) return <p className="text-faint text-sm">They appear once the deal has an answer.</p>;
  if (!one.ok) return <p className="text-faint text-sm">{say(one.failure.sentence)}</p>;
  const { each, withAll, withNone } = one.value;
  const cell = "py-0.5 pl-3 text-right";
  const months = (index: number) => structure.extras?.[index]?.months;
  return (
    <table className={`mt-1 w-full text-sm ${isStale(option) ? "stale" : ""}`}>
      <caption className="sr-only">Extras one by one, with the payment with and without each</caption>
      <thead>
        <tr className="text-faint">
          <th scope="col" className="text-left font-normal">
            Extra
          </th>
          {["Price", "Payment with it", "without it"].map(name => (
            <th key={name} scope="col" className={`${cell} font-normal`}>
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {each.map(({ name, price, without }, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a line has no other identity than its place.
          <tr key={index} className="border-base-300 border-t">
            <th scope="row" className="text-left font-normal">
              {name}
              {months(index) !== undefined && (
                <span className="block text-faint leading-tight">for {months(index)} months</span>
              )}
            </th>
            <td className={cell}>{money(price)}</td>
            <td className={cell}>{money(withAll)}</td>
            <td className={cell}>{money(without ?? undefined)}</td>
          </tr>
        ))}
        <tr className="border-base-content border-t font-semibold">
          <th scope="row" className="text-left">
            All, or none
          </th>
          <td className={cell}>{money(each.reduce((sum, { price }) => sum + price, 0))}</td>
          <td className={cell}>{money(withAll)}</td>
          <td className={cell}>{money(withNone ?? undefined)}</td>
        </tr>
      </tbody>
    </table>
  );
}
