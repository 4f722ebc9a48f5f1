import { success } from "../../../../result";
import { levelRuns } from "../draft";
import type { Shape } from "./shape";

/** The same payment on every date, which every other shape starts from. */
export const level: Shape<object> = draft => success({ ...draft, runs: levelRuns(draft.calendar) });
