/** How the map lies on the screen, in pixels. */
export const HEIGHT = 330;
export const MARGIN = { top: 8, right: 14, bottom: 40, left: 70 };
