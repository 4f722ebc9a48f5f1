import { useState } from "react";
import { ENCLOSED, PAPER_FACTS, type PaperName } from "@/exchange/papers/paper-kinds";
import type { PapersReply } from "@/server/contract";

type Props = {
  none: PapersReply["none"] | undefined;
  isDisabled: boolean;
  onMake: (enclosed: readonly PaperName[]) => void;
};

const USUAL: readonly PaperName[] = ["proposal"];

/** A letter with the papers that are ticked. */
export function LetterLine({ none = {}, isDisabled, onMake }: Props) {
  const [isOpen, setOpen] = useState(false);
  const [ticked, setTicked] = useState(USUAL);
  const enclosed = ENCLOSED.filter(name => ticked.includes(name) && none[name] === undefined);
  return (
    <div>
      <button
        type="button"
        className="btn btn-sm w-full justify-start"
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
      >
        Letter (e-mail) …
      </button>
      <p className="mt-0.5 text-faint text-sm">{none.letter ?? PAPER_FACTS.letter.says}</p>
      {isOpen && (
        <fieldset className="mt-1 grid gap-0.5 border-base-300 border-l-2 pl-3">
          <legend className="sr-only">What the letter encloses</legend>
          {ENCLOSED.map(name => (
            <label key={name} className="flex items-center gap-2 text-sm">
              <input
                type="checkbox"
                className="checkbox checkbox-xs bg-base-100"
                checked={enclosed.includes(name)}
                disabled={none[name] !== undefined}
                onChange={({ target }) =>
                  setTicked(target.checked ? [...ticked, name] : ticked.filter(each => each !== name))
                }
              />
              {PAPER_FACTS[name].name}
            </label>
          ))}
          <button
            type="button"
            className="btn btn-primary btn-sm mt-1 justify-self-start"
            disabled={isDisabled || none.letter !== undefined}
            onClick={() => onMake(enclosed)}
          >
            Make the letter
          </button>
        </fieldset>
      )}
    </div>
  );
}
