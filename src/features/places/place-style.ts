/** A way to one of the places, at the side of every page. */
export const PLACE =
  "flex flex-col items-center gap-0.5 rounded-field px-1 py-1.5 font-semibold text-primary text-xs max-md:px-0.5";
