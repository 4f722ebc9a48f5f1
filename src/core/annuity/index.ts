export { FLOAT, LEVEL_PAY, PRECISE, rationalWeight } from "./arithmetic";
export { type LevelSolver, levelSolver, type PaymentRounding } from "./level-payment";
export { levelRate } from "./rate";
export type { Pay, Raise, Run, Weight } from "./run";
export { type Worth, worthOf } from "./worth";
