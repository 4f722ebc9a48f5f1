/** Prints one line: what was measured, the figure, and its target where there is one. */
export const say = (what: string, measured: string, target = ""): void =>
  console.log(`${what.padEnd(60)} ${measured.padStart(24)}   ${target}`.trimEnd());

export const ratio = (value: number): string => `${value.toFixed(2)} ×`;
