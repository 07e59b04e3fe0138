import workerUrl from "pdfjs-dist/build/pdf.worker.min.mjs?url";
import type { Page } from "./pagesOf";

/** In points of the picture that is made of a page. */
const WIDTH = 1_600;

/** Pages of a PDF as pictures, each as soon as it is there. */
export async function pagesOfPdf(
  bytes: ArrayBuffer,
  most: number,
  onPage: (page: Page, all: number) => void,
): Promise<void> {
  // It is large: whoever has no PDF before them never loads it.
  const pdfjs = await import("pdfjs-dist");
  pdfjs.GlobalWorkerOptions.workerSrc = workerUrl;
  const task = pdfjs.getDocument({ data: bytes, useWasm: false });
  const pdf = await task.promise;
  try {
    for (let n = 1; n <= Math.min(pdf.numPages, most); n++) {
      const page = await pdf.getPage(n);
      const viewport = page.getViewport({ scale: WIDTH / page.getViewport({ scale: 1 }).width });
      const canvas = document.createElement("canvas");
      canvas.width = Math.round(viewport.width);
      canvas.height = Math.round(viewport.height);
      await page.render({ canvas, viewport }).promise;
      const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done));
      if (blob) {
        onPage({ url: URL.createObjectURL(blob), width: canvas.width, height: canvas.height }, pdf.numPages);
      }
    }
  } finally {
    void task.destroy();
  }
}
