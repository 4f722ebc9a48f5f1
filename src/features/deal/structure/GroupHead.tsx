import { ChevronDown, ChevronRight } from "lucide-react";
import { TallyRow } from "./TallyRow";

const FOLDED = <ChevronRight size={14} aria-hidden="true" />;
const UNFOLDED = <ChevronDown size={14} aria-hidden="true" />;

type Props = {
  title: string;
  /** What the lines of the group are called; they stand for it while it is folded. */
  names: readonly string[];
  isFolded: boolean;
  setFolded: (isFolded: boolean) => void;
  sign: "+" | "−";
  /** What its lines come to together. */
  sum: string;
  running: string;
  stale: boolean;
};

/** The head of a group of lines, which folds to one line with its sum. */
export function GroupHead({ title, names, isFolded, setFolded, sign, sum, running, stale }: Props) {
  return (
    <TallyRow
      stale={stale}
      sign={sign}
      label={
        <button
          type="button"
          aria-expanded={!isFolded}
          className="flex cursor-pointer items-center gap-1"
          onClick={() => setFolded(!isFolded)}
        >
          {title} {isFolded ? FOLDED : UNFOLDED}
        </button>
      }
      remark={isFolded ? names.join(", ") : undefined}
      value={sum}
      running={running}
    />
  );
}
