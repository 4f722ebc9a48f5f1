export { changePhrase, changesInWords, type WordedChange } from "./changes-in-words";
export { figuresInWords, type WordedFigure } from "./figures-in-words";
export { REGISTER_KINDS, type RegisterKind, registerKind } from "./plan-kind";
export { type Named, proposedNames, termName } from "./proposed-names";
