import { useOption } from "../option/option-context";
import { LeaseRepayment } from "./LeaseRepayment";
import { LoanRepayment } from "./LoanRepayment";

/** How it is repaid, over the whole width: what can be asked of the table to the left, chart and table to the right. */
export function Repayment({ fileName }: { fileName: string }) {
  const { option } = useOption();
  const Shown = option.kind === "loan" ? LoanRepayment : LeaseRepayment;
  return <Shown fileName={fileName} />;
}
