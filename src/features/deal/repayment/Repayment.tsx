import { lazy, Suspense } from "react";
import { useOption } from "../option/option-context";

const LoanRepayment = lazy(() =>
  import("./LoanRepayment").then(({ LoanRepayment: loan }) => ({ default: loan })),
);
const LeaseRepayment = lazy(() =>
  import("./LeaseRepayment").then(({ LeaseRepayment: lease }) => ({ default: lease })),
);

/** How it is repaid, over the whole width: what can be asked of the table to the left, chart and table to the right. */
export function Repayment({ fileName }: { fileName: string }) {
  const { option } = useOption();
  const Shown = option.kind === "loan" ? LoanRepayment : LeaseRepayment;
  return (
    <Suspense fallback={<p className="p-4 text-faint">Opening …</p>}>
      <Shown fileName={fileName} />
    </Suspense>
  );
}
