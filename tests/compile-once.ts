/**
 * Has a program compile the database's code once and quickly, and not again for speed: most of what one costs that lives
 * for seconds is the second time.
 */
export const COMPILE_ONCE = "--liftoff-only";
