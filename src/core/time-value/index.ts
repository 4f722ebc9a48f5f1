export { solveTimeValue } from "./solve";
export type {
  Direction,
  LastPayment,
  Money,
  TimeValue,
  TimeValueAnswer,
  TimeValueFigure,
} from "./time-value";
