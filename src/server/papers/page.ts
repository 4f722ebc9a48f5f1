import type { Face } from "./fonts";

/** Points; an inch has 72. */
export const MARGIN = { top: 84, right: 54, bottom: 64, left: 54 };
export const INK = "#1c2b3a";
export const FAINT = "#5a6672";
export const RULE = "#ddd3c2";
export const GROUND = "#f4eee2";
export const ACCENT = "#0d665f";
export const ROW = 16;

export type Document = PDFKit.PDFDocument;
export type Pen = { face: Face; size: number; color: string };

export const TEXT: Pen = { face: "text", size: 9.5, color: INK };

export type Structure = PDFKit.PDFStructureElement;

/** Has what is drawn belong to a part of the paper's structure, in the order in which it is read. */
export function tagged(document: Document, parent: Structure, type: string, drawIt: () => void): void {
  parent.add(document.struct(type, {}, drawIt));
}

export const bottomOf = ({ page }: Document) => page.height - MARGIN.bottom;

/** How wide the page is between its margins. */
export const roomOf = ({ page }: Document) => page.width - MARGIN.left - MARGIN.right;

/** The number of the page that is drawn on, from 0. */
export const pageOf = (document: Document): number => document.bufferedPageRange().count - 1;

/** Goes to a new page where so much does not fit on this one. */
export function keepTogether(document: Document, height: number): void {
  if (document.y + height > bottomOf(document)) document.addPage();
}

/** A line over the width of the page, which is there for the eye. */
export function rule(document: Document, y: number, color: string): void {
  document.markContent("Artifact", { type: "Layout" });
  document
    .moveTo(MARGIN.left, y)
    .lineTo(document.page.width - MARGIN.right, y)
    .lineWidth(0.8)
    .stroke(color);
  document.endMarkedContent();
}
