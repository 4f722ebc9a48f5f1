import { SaveStatusLine } from "@/features/saving/SaveStatusLine";
import type { SettingsReply } from "@/server/contract";
import type { SettingsStatus } from "./use-settings-save";

type Props = {
  status: SettingsStatus;
  unreadable: boolean;
  onKeepMine: (theirs: SettingsReply) => void;
  onTakeTheirs: (theirs: SettingsReply) => void;
};

/** Whether the settings are saved; where somebody else has changed them, which are to stay. */
export function SettingsStatusLine({ status, unreadable, onKeepMine, onTakeTheirs }: Props) {
  switch (status.kind) {
    case "saving":
      return <SaveStatusLine status={status} unreadable={unreadable} />;
    case "saved":
      if (status.at === null) return <p className="text-faint text-sm">Nothing is settled yet</p>;
      return <SaveStatusLine status={{ kind: "saved", at: status.at }} unreadable={unreadable} />;
    case "trouble":
      return (
        <p role="alert" className="text-error text-sm">
          {status.sentence}
        </p>
      );
    case "conflict":
      return (
        <div role="alert" className="flex flex-wrap items-center gap-2 text-error text-sm">
          Not saved: the settings were changed somewhere else.
          <button type="button" className="btn btn-sm" onClick={() => onKeepMine(status.theirs)}>
            Save these over them
          </button>
          <button type="button" className="btn btn-sm" onClick={() => onTakeTheirs(status.theirs)}>
            Take the saved ones
          </button>
        </div>
      );
  }
}
