/** What a page says to its other parts: the server tells that somebody has saved what it shows. */
export const OTHERS_SAVED = "kellux-others-saved";

/** Hears that the deal in view was saved, here or elsewhere, with its version where that is known; what is given back ends it. */
export function onOthersSaved(heard: (version: number | null) => void): () => void {
  const listen = (event: Event) => heard((event as CustomEvent<number | null>).detail);
  window.addEventListener(OTHERS_SAVED, listen);
  return () => window.removeEventListener(OTHERS_SAVED, listen);
}
