export { costOfCredit, transactionOf } from "./cost-of-credit";
export { costOfLevel } from "./cost-of-level";
export { aprOfStream, costOfStream } from "./cost-of-stream";
export type { CostOfCredit } from "./cost-of-stretches";
