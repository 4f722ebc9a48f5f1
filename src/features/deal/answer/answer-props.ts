/** What the answer of a deal is drawn with. */
export type AnswerProps = {
  /** The name of the file that a table is downloaded as. */
  fileName: string;
  /** Whether the plan and the table stand below it; else another view does. */
  isWhole: boolean;
};
