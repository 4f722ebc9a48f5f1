import { Shortcuts } from "../../shell/Shortcuts";
import { Palette } from "./Palette";

type Props = {
  panel: "palette" | "shortcuts";
  onClose: (isBack: boolean) => void;
  onPanel: (panel: "shortcuts") => void;
};

/** All that can be done, or the keys for it. */
export const Anything = ({ panel, onClose, onPanel }: Props) =>
  panel === "palette" ? (
    <Palette onClose={onClose} onShortcuts={() => onPanel("shortcuts")} />
  ) : (
    <Shortcuts onClose={onClose} />
  );
