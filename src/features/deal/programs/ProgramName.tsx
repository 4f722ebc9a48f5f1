import { PROGRAM_KINDS } from "@/exchange/rates/program-kinds";
import type { ProgramTold } from "@/exchange/rates/programs-on-deal";

/** What a program is called, and what an option made with it would be. */
export function ProgramName({ row: { lender, name, kind, payments } }: { row: ProgramTold }) {
  return (
    <>
      <span className="font-semibold">
        {lender} · {name}
      </span>
      <span className="block text-faint text-sm">
        {PROGRAM_KINDS[kind]}
        {payments !== null && `, ${payments} payments`}
      </span>
    </>
  );
}
