import { type Checked, checked } from "../checks";
import { questionFile } from "../checks/compiled";
import type { QuestionFile } from "./questions.schema";

/** Checks a file of questions that need no deal, whatever it is. */
export const readQuestionFile = (value: unknown): Checked<QuestionFile> =>
  checked<QuestionFile>(questionFile, value);
