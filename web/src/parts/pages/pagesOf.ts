import { Problem } from "../../api/client";
import { t } from "../../text";
import { fileUrl } from "../upload";

/** A page as a picture, with its size in the picture's points. */
export type Page = { url: string; width: number; height: number };

/** The pages of a picture or a PDF, each as soon as it is there; the urls are the caller's to let go. */
export async function pagesOf(
  file: string,
  most: number,
  onPage: (page: Page, all: number) => void,
): Promise<void> {
  const response = await fetch(fileUrl(file));
  if (!response.ok) {
    throw new Problem(response.status, "attachment", t("This attachment could not be loaded."), []);
  }
  const blob = await response.blob();
  if (blob.type === "application/pdf") {
    const { pagesOfPdf } = await import("./pdf");
    await pagesOfPdf(await blob.arrayBuffer(), most, onPage);
  } else {
    const url = URL.createObjectURL(blob);
    const image = new Image();
    image.src = url;
    await image.decode();
    onPage({ url, width: image.naturalWidth, height: image.naturalHeight }, 1);
  }
}
