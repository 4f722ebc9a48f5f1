import { tooLargeSentence } from "@/exchange/deal-file/largest";
import { type Answer, api } from "@/features/api/client";
import { newDealDocument } from "@/features/deal/desk/new-deal";
import { localToday } from "@/features/figures/today";
import { notify } from "@/features/notices/notify";
import type { RegisterRow } from "@/server/contract";

const AWAY = "The server is away; nothing was changed. Try again when it is back.";

function sayWhyNot<Value>(answer: Exclude<Answer<Value>, { kind: "done" }>, what = ""): void {
  notify.error(what + (answer.kind === "away" ? AWAY : answer.sentence));
}

async function newDeal(): Promise<void> {
  // As they are now: the register may have been open for long.
  const house = await api.settings();
  if (house.kind !== "done") return sayWhyNot(house);
  const answer = await api.create(newDealDocument(localToday(), house.value.settings));
  if (answer.kind === "done") location.assign(`/deals/${answer.value.id}`);
  else sayWhyNot(answer);
}

/**
 * What can be done with the register's deals.
 *
 * @param reload shows the list as it then is
 */
export function registerActions(reload: () => Promise<void>) {
  const duplicate = async ({ id, customer }: RegisterRow) => {
    const answer = await api.duplicate(id);
    if (answer.kind !== "done") return sayWhyNot(answer);
    await reload();
    notify(`The deal of ${customer || "no name"} was duplicated.`, {
      action: { label: "Open the copy", onClick: () => location.assign(`/deals/${answer.value.id}`) },
    });
  };

  const undoDelete = async (id: string) => {
    const answer = await api.restore(id);
    if (answer.kind !== "done") return sayWhyNot(answer);
    await reload();
  };

  const remove = async ({ id, customer }: RegisterRow) => {
    const answer = await api.remove(id);
    if (answer.kind !== "done") return sayWhyNot(answer);
    await reload();
    notify(`The deal of ${customer || "no name"} was deleted.`, {
      action: { label: "Undo", onClick: () => void undoDelete(id) },
    });
  };

  const bringIn = async (files: readonly File[]) => {
    let kept = 0;
    for (const file of files) {
      const tooLarge = tooLargeSentence(file.size);
      if (tooLarge) {
        notify.error(`${file.name}: ${tooLarge}`);
        continue;
      }
      const answer = await api.importFile(file.name, await file.text());
      if (answer.kind === "done") kept += 1;
      else sayWhyNot(answer, `${file.name}: `);
    }
    if (kept > 0) notify.success(kept === 1 ? "1 deal was brought in." : `${kept} deals were brought in.`);
    await reload();
  };

  return { newDeal, duplicate, remove, bringIn };
}
