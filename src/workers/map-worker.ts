// Makes payment maps beside the page, so that typing never waits for one.
import { expose } from "comlink";
import { type MapAsked, walkMap } from "@/core/map";
import { linesOf, type MapLines } from "./map-lines";
import { newestWalk } from "./slices";

const PLACES_A_LOOK = 8;

/** A map: the figure at each place, row by row from the lowest; NaN where there is no answer; and the lines of it. */
export type MapAnswer = MapLines & { values: Float64Array };

export type MapQuestion = MapAsked & {
  /** Whole units of what is shown: minor units of one of the currency, or 1 for percent. */
  unit: number;
  /** What the customer can pay each time, in minor units; left out where the map shows no payments. */
  budget?: number | undefined;
};

const walk = newestWalk(PLACES_A_LOOK);

const worker = {
  /** A map, or null where a newer one was asked for meanwhile. */
  async map({ unit, budget, ...asked }: MapQuestion): Promise<MapAnswer | null> {
    const columns = asked.across.values.length;
    const rows = asked.up.values.length;
    const values = new Float64Array(columns * rows);
    let place = 0;
    const isWhole = await walk(walkMap(asked), value => {
      values[place] = value ?? Number.NaN;
      place += 1;
    });
    return isWhole ? { values, ...linesOf(values, columns, rows, { unit, budget }) } : null;
  },
};

export type MapWorker = typeof worker;

expose(worker);
