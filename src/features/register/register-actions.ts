import { newId } from "@/exchange/deal-document";
import { tooLargeSentence } from "@/exchange/deal-file/largest";
import { newDealDocument } from "@/exchange/new-deal/new-deal";
import type { NewDeal } from "@/exchange/settings";
import { api } from "@/features/api/api";
import type { Answer } from "@/features/api/client";
import { bringInDeals } from "@/features/api/files";
import { readTextFile } from "@/features/api/read-text-file";
import { settingsApi } from "@/features/api/settings";
import { localToday } from "@/features/figures/today";
import { notify } from "@/features/notices/notify";
import type { DealReply, RegisterRow } from "@/server/contract";
import type { Arriving } from "./ArrivingFile";

const AWAY = "The server is away; nothing was changed. Try again when it is back.";

function sayWhyNot<Value>(answer: Exclude<Answer<Value>, { kind: "done" }>, what = ""): void {
  notify.error(what + (answer.kind === "away" ? AWAY : answer.sentence));
}

/**
 * Makes a new deal and opens it.
 *
 * @param kind what it is from the start; as usual in the house where it is left out
 */
export async function newDeal(kind?: NewDeal): Promise<void> {
  // As they are now: the register may have been open for long.
  const house = await settingsApi.read();
  if (house.kind !== "done") return sayWhyNot(house);
  const answer = await api.create(newDealDocument(localToday(), house.value.settings, kind));
  if (answer.kind === "done") location.assign(`/deals/${answer.value.id}`);
  else sayWhyNot(answer);
}

type Tell = (arriving: Arriving | null) => void;

/** Brings in one deal, or all of a file that has a deal on each line, of which it is told how far it is. */
async function brought(file: File, tell: Tell): Promise<Answer<DealReply | { deals: number }>> {
  if (/\.(ndjson|jsonl)$/i.test(file.name)) {
    const arriving = { name: file.name, id: newId() };
    tell(arriving);
    const answer = await bringInDeals(file, arriving.id);
    tell(null);
    return answer;
  }
  const tooLarge = tooLargeSentence(file.size);
  const text = tooLarge ? { ok: false as const, sentence: tooLarge } : await readTextFile(file);
  return text.ok
    ? api.importFile(file.name, text.value)
    : { kind: "refused", status: 422, sentence: text.sentence };
}

/**
 * What can be done with the register's deals.
 *
 * @param reload shows the list as it then is
 * @param tell shows how far a file is that is being brought in
 */
export function registerActions(reload: () => Promise<void>, tell: Tell) {
  const duplicate = async ({ id, customer }: RegisterRow) => {
    const answer = await api.duplicate(id);
    if (answer.kind !== "done") return sayWhyNot(answer);
    await reload();
    notify(`The deal of ${customer || "no name"} was duplicated.`, {
      action: { label: "Open the copy", onClick: () => location.assign(`/deals/${answer.value.id}`) },
    });
  };

  /** What was deleted here and is not back, the last one last. */
  const deleted: RegisterRow[] = [];

  const bringBack = async (row: RegisterRow) => {
    const answer = await api.restore(row.id);
    if (answer.kind !== "done") return sayWhyNot(answer);
    const place = deleted.findIndex(({ id }) => id === row.id);
    if (place >= 0) deleted.splice(place, 1);
    notify.success(`The deal of ${row.customer || "no name"} is back.`);
    await reload();
  };

  const bringBackLast = async () => {
    const last = deleted.at(-1);
    if (last) await bringBack(last);
    else notify("Nothing was deleted on this page. Deleted deals are listed under the status Deleted.");
  };

  const remove = async (row: RegisterRow) => {
    const { id, version, customer } = row;
    const answer = await api.remove(id, version);
    if (answer.kind !== "done") {
      sayWhyNot(answer);
      // What it was changed to stands in the list by then.
      return reload();
    }
    deleted.push(row);
    await reload();
    notify(`The deal of ${customer || "no name"} was deleted.`, {
      action: { label: "Undo", onClick: () => void bringBack(row) },
    });
  };

  const bringIn = async (files: readonly File[]) => {
    let kept = 0;
    for (const file of files) {
      const answer = await brought(file, tell);
      if (answer.kind === "done") kept += "deals" in answer.value ? answer.value.deals : 1;
      else sayWhyNot(answer, `${file.name}: `);
    }
    if (kept > 0) notify.success(kept === 1 ? "1 deal was imported." : `${kept} deals were imported.`);
    await reload();
  };

  return { duplicate, remove, bringBack, bringBackLast, bringIn };
}
