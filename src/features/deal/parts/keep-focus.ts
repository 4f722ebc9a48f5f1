const MOST_FRAMES = 120;

/**
 * Gives the focus to a control of the same id once the one that had it is gone: where the deal becomes one of another
 * kind, its plan is drawn anew.
 */
export function keepFocus(id: string): void {
  let frame = 0;
  const look = () => {
    const isLost = document.activeElement === document.body;
    const control = document.getElementById(id);
    if (isLost) control?.focus();
    // While the new one is loaded the old one is there, hidden, and does not take it.
    const isBack = isLost && document.activeElement === control;
    if (!isBack && frame++ < MOST_FRAMES) requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
}
