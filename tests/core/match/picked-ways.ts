// Ways that random numbers point at, and grids of ways that contain them.
import fc from "fast-check";
import { type Found, search } from "@/core/match/search";
import type { Choice, Machine, Stated } from "@/core/match/way";

export type AnyMachine = Machine<unknown>;

/** So many choices make some 500 ways of up to three departures. */
const CHOICES_OF_A_GRID = 14;
const MOST_DEPARTURES = 3;

/** Places from 0 to 1 in the lists of choices, up to three. */
export const places = fc.array(
  fc.integer({ min: 0, max: 999_999 }).map(place => place / 1_000_000),
  {
    minLength: 1,
    maxLength: 3,
  },
);

/** Numbers without end that choices are drawn by. */
export const draws = fc.infiniteStream(fc.nat(1_000_000));

/** The choices that places point at, as far as they go together and make no more than three departures. */
export function takenBy(
  machine: AnyMachine,
  at: readonly number[],
): { taken: Choice<unknown>[]; count: number } {
  const lists = machine.choices.filter(list => list.length > 0);
  const used = new Set<number>();
  const taken: Choice<unknown>[] = [];
  let [way, count] = [machine.base, 0];
  for (const each of [...at].sort((one, other) => one - other)) {
    const place = Math.floor(each * lists.length);
    const list = lists[place] ?? [];
    const choice = list[Math.floor((each * lists.length - place) * list.length)];
    if (!choice || used.has(place) || count + choice.count > MOST_DEPARTURES) continue;
    const next = choice.change(way);
    if (next === null || machine.measure(next) === null) continue;
    used.add(place);
    taken.push(choice);
    way = next;
    count += choice.count;
  }
  return { taken, count };
}

/** A machine with few of its choices, those taken among them. */
export function gridOf(
  machine: AnyMachine,
  taken: readonly Choice<unknown>[],
  drawn: Iterator<number>,
): AnyMachine {
  const all = machine.choices.flat();
  const kept = new Set(taken);
  while (kept.size < Math.min(CHOICES_OF_A_GRID, all.length)) {
    const choice = all[(drawn.next().value ?? 0) % all.length];
    if (choice) kept.add(choice);
  }
  return { ...machine, choices: machine.choices.map(list => list.filter(each => kept.has(each))) };
}

/** What is found among all ways of a machine of up to three departures. */
export function foundBy(machine: AnyMachine, stated: Stated): Found<unknown> {
  const walk = search(machine, stated, {
    most: Number.POSITIVE_INFINITY,
    mostDepartures: MOST_DEPARTURES,
  });
  for (;;) {
    const { done, value } = walk.next();
    if (done) return value;
  }
}
