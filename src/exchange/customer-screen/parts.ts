/** What can stand on the customer's screen, in its order, and what each is called where the officer chooses. */
export const PARTS_SHOWN = {
  sentence: "The deal in a sentence",
  options: "Options side by side",
  owed: "What is still owed",
  kept: "How long it is kept",
  extras: "Extras one by one",
  early: "Extra payments",
} as const;

export type PartShown = keyof typeof PARTS_SHOWN;

/** What is shown until something else is chosen. */
export const FIRST_SHOWN: readonly PartShown[] = ["sentence", "options", "owed"];
