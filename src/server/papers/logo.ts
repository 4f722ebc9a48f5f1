import sharp from "sharp";
import type { Store } from "@/data/store";
import type { Settings } from "@/exchange/settings";
import { Refusal } from "../refusal";
import { packed, unpacked } from "./kept-bytes";

/** No logo has more dots; one that is said to have would fill the memory. */
const MOST_DOTS = 40_000_000;
const LARGEST = { width: 800, height: 400 };

/**
 * Keeps a picture as the house's logo: decoded, and written anew, so that nothing else that came with it is kept.
 *
 * @param file a PNG or a JPEG
 * @returns by what it is known
 */
export async function keepLogo(store: Store, file: Uint8Array): Promise<{ sha256: string }> {
  const { sha256, bytes } = await packed(await pictureOf(file));
  await store.keepBlob(sha256, bytes);
  return { sha256 };
}

async function pictureOf(file: Uint8Array): Promise<Buffer> {
  try {
    const picture = sharp(file, { limitInputPixels: MOST_DOTS });
    const { format } = await picture.metadata();
    if (format === "png" || format === "jpeg")
      return await picture
        .rotate()
        .resize({ ...LARGEST, fit: "inside", withoutEnlargement: true })
        // Papers are white.
        .flatten({ background: "#ffffff" })
        .png()
        .toBuffer();
  } catch {
    // What cannot be decoded is no picture.
  }
  throw new Refusal(422, "This is no PNG or JPEG picture that can be read.");
}

/** A logo by its digest, as a PNG; undefined where there is none. */
export async function logoOf(store: Store, sha256: string): Promise<Buffer | undefined> {
  const kept = await store.blobOf(sha256);
  return kept && unpacked(kept);
}

/** Settings whose logo is one that is kept: a file brings its picture along. */
export async function withKeptLogo(store: Store, settings: Settings): Promise<Settings> {
  const { logo } = settings.papers ?? {};
  if (!logo) return settings;
  if ("image" in logo)
    return {
      ...settings,
      papers: { ...settings.papers, logo: await keepLogo(store, Buffer.from(logo.image, "base64")) },
    };
  if (await store.blobOf(logo.sha256)) return settings;
  throw new Refusal(422, "The logo that the settings name is not kept here; pick its picture again.");
}
