// Makes payment maps beside the page, so that typing never waits for one.
import { expose } from "comlink";
import { type MapAsked, walkMap } from "@/core/map";
import { linesOf, type MapLines } from "./map-lines";

/** No slice of work is longer, so that a newer question is heard. */
const LONGEST_SLICE_MS = 8;
/** The clock is looked at after so many places. */
const PLACES_A_LOOK = 8;

/** A map: the figure at each place, row by row from the lowest; NaN where there is no answer; and the lines of it. */
export type MapAnswer = MapLines & { values: Float64Array };

export type MapQuestion = MapAsked & {
  /** Whole units of what is shown: minor units of one of the currency, or 1 for percent. */
  unit: number;
  /** What the customer can pay each time, in minor units; left out where the map shows no payments. */
  budget?: number | undefined;
};

let newest = 0;

/** Gives way to what has arrived meanwhile. */
const nextTurn = () =>
  new Promise<void>(resolve => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });

const worker = {
  /** A map, or null where a newer one was asked for meanwhile. */
  async map({ unit, budget, ...asked }: MapQuestion): Promise<MapAnswer | null> {
    newest += 1;
    const mine = newest;
    const columns = asked.across.values.length;
    const rows = asked.up.values.length;
    const values = new Float64Array(columns * rows);
    let place = 0;
    let began = performance.now();
    for (const value of walkMap(asked)) {
      values[place] = value ?? Number.NaN;
      place += 1;
      if (place % PLACES_A_LOOK === 0 && performance.now() - began > LONGEST_SLICE_MS) {
        await nextTurn();
        if (mine !== newest) return null;
        began = performance.now();
      }
    }
    return { values, ...linesOf(values, columns, rows, { unit, budget }) };
  },
};

export type MapWorker = typeof worker;

expose(worker);
