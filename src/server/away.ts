/** What is said where the database does not answer. */
export const AWAY =
  "The database does not answer, so this was not confirmed. What was confirmed before is safe; try again in a moment.";
