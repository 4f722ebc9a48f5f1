import { GlobalWorkerOptions, getDocument } from "pdfjs-dist";

/** Only so many are drawn: who wants all of a long table makes it. */
const MOST_PAGES = 4;
const SCALE = 1.6;

/** Draws the first pages of a PDF, each on a canvas of its own. */
export async function drawPages(bytes: ArrayBuffer): Promise<HTMLCanvasElement[]> {
  GlobalWorkerOptions.workerPort ??= new Worker(
    new URL("pdfjs-dist/build/pdf.worker.min.mjs", import.meta.url),
    { type: "module" },
  );
  const task = getDocument({ data: bytes, isEvalSupported: false, useWasm: false });
  const document = await task.promise;
  const canvases: HTMLCanvasElement[] = [];
  for (let number = 1; number <= Math.min(document.numPages, MOST_PAGES); number++) {
    const page = await document.getPage(number);
    const viewport = page.getViewport({ scale: SCALE });
    const canvas = window.document.createElement("canvas");
    canvas.width = viewport.width;
    canvas.height = viewport.height;
    await page.render({ canvas, viewport }).promise;
    canvases.push(canvas);
  }
  await task.destroy();
  return canvases;
}
