/** How the map lies on the screen, in pixels; its lines come in a plane of 1000 by 1000. */
export const HEIGHT = 330;
export const MARGIN = { top: 8, right: 14, bottom: 40, left: 70 };
export const FULL = 1000;
export const ROOM_UP = HEIGHT - MARGIN.top - MARGIN.bottom;

/** The first and the last value of an axis. */
export const endsOf = (values: readonly number[]): [number, number] => [values[0] ?? 0, values.at(-1) ?? 1];
