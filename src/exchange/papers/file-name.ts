import { PAPER_KINDS, type PaperName } from "./paper-kinds";

/**
 * What the file of a paper is called: for whom, and what it is.
 *
 * @example paperFileName("proposal", "Priya Nair") // "Priya Nair, proposal.pdf"
 */
export const paperFileName = (name: PaperName, customer: string): string =>
  `${customer || "Deal"}, ${PAPER_KINDS[name].name.toLowerCase()}.${PAPER_KINDS[name].ending}`;
