// Pages that save by themselves, as the app's own do: each save is sent until it is confirmed, to whichever process answers.
import { setTimeout as wait } from "node:timers/promises";
import { DEAL } from "./own-server";

export type Kept = {
  id: string;
  version: number;
  document: { options: { id: string; name: string; inputs: Record<string, unknown> }[] };
};

export type Answered = { status: number; reply: Record<string, unknown> & Kept };

/** What was answered in the course of a test, by its status; and what was said of each refusal. */
export type Counted = Map<number, number>;

const AGAIN_MS = 100;

/** Asks processes in turn, as a proxy does that has several behind it. */
export type Asking = {
  /** Asks once. What does not answer at all is 0. */
  once: (method: string, path: string, body?: unknown) => Promise<Answered>;
  /** Asks until somebody answers with less than 500. */
  until: (method: string, path: string, body?: unknown) => Promise<Answered>;
  statuses: Counted;
  sentences: Set<string>;
};

export function askingOf(addresses: readonly string[]): Asking {
  let turn = 0;
  const statuses: Counted = new Map();
  const sentences = new Set<string>();
  const once: Asking["once"] = async (method, path, body) => {
    const address = addresses[turn++ % addresses.length];
    const answered = await fetch(`${address}${path}`, {
      method,
      ...(body !== undefined && {
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify(body),
      }),
    }).then(
      async answer => ({ status: answer.status, reply: await answer.json().catch(() => ({})) }),
      () => ({ status: 0, reply: {} }),
    );
    statuses.set(answered.status, (statuses.get(answered.status) ?? 0) + 1);
    if (answered.status >= 500) sentences.add(String((answered.reply as { error?: string }).error));
    return answered as Answered;
  };
  return {
    once,
    until: async (...asked) => {
      for (;;) {
        const answered = await once(...asked);
        if (answered.status > 0 && answered.status < 500) return answered;
        await wait(AGAIN_MS);
      }
    },
    statuses,
    sentences,
  };
}

/** A new deal, with so many options. */
export async function newDealAt(asking: Asking, customer: string, options = 1): Promise<Kept> {
  const file = { ...DEAL, customer, options: Array.from({ length: options }, () => DEAL.options[0]) };
  const { reply } = await asking.until("POST", "/api/deals/import", {
    fileName: `${customer}.json`,
    text: JSON.stringify(file),
  });
  return reply;
}

/** The change by which an option's price becomes another. */
export function priced({ document }: Kept, place: number, price: string) {
  const option = document.options[place];
  const structure = { ...(option?.inputs.structure as object), price };
  return { options: [{ ...option, inputs: { ...option?.inputs, structure } }] };
}
