/** Where a page's steps are kept, before the deal's id. */
export const KEPT_STEPS = "kellux.steps.";
