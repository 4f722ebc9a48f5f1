import { Check } from "lucide-react";
import type { ComparedRow } from "@/exchange/match/compared-rows";

/** What they say beside what the way has and what the deal has, a figure a row. */
export function ComparedTable({ rows, title }: { rows: readonly ComparedRow[]; title: string }) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full">
        <caption className="sr-only">Their figures beside those of this way and those here</caption>
        <thead className="bg-base-200 text-sm">
          <tr>
            <th scope="col" className="px-3 py-1.5 max-sm:px-1.5 text-left">
              <span className="sr-only">Figure</span>
            </th>
            <th scope="col" className="px-3 py-1.5 max-sm:px-1.5 text-right">
              they say
            </th>
            <th scope="col" className="px-3 py-1.5 max-sm:px-1.5 text-right">
              {title}
            </th>
            <th scope="col" className="px-3 py-1.5 max-sm:px-1.5 text-right">
              here
            </th>
            <th scope="col" className="px-3 py-1.5 max-sm:px-1.5 text-left max-sm:hidden">
              where it comes from
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ name, stated, way, isGiven, usual, usualOff, from }) => (
            <tr key={name} className="border-base-300 border-t">
              <th scope="row" className="px-3 py-1.5 max-sm:px-1.5 text-left font-semibold">
                {name}
              </th>
              <td className="px-3 py-1.5 max-sm:px-1.5 text-right">{stated}</td>
              <td
                className={`px-3 py-1.5 max-sm:px-1.5 text-right ${isGiven ? "font-semibold text-success" : "text-error"}`}
              >
                {way}
                {isGiven ? (
                  <Check size={14} aria-label="as they say" className="ml-1 inline" />
                ) : (
                  <span className="sr-only"> not as they say</span>
                )}
              </td>
              <td className="px-3 py-1.5 max-sm:px-1.5 text-right">
                {usual}
                <span className="ml-2 inline-block min-w-12 text-faint text-xs">{usualOff}</span>
              </td>
              <td className="px-3 py-1.5 max-sm:px-1.5 text-faint text-sm max-sm:hidden">{from}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
