export { costOfCredit, transactionOf } from "./cost-of-credit";
export { costOfLevel } from "./cost-of-level";
export { aprOfRows, aprOfStream, costOfStream } from "./cost-of-stream";
export type { CostOfCredit, StreamOf } from "./cost-of-stretches";
