import { LONGEST_PICTURE } from '@azulejo/core/tile/product';

/** Sides that are tried until the picture is small enough for the job, pixels. */
const SIDES_PX = [320, 240, 180, 128];

/** A picture of a face as a small data address; rejects with words for the person where the file is no picture. */
export async function shrinkPicture(file: Blob): Promise<string> {
  const image = await createImageBitmap(file).catch(() => null);
  if (!image) throw new Error('The file is no picture that can be read. Expected PNG, JPEG or WebP.');
  for (const side of SIDES_PX) {
    const scale = Math.min(1, side / Math.max(image.width, image.height));
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [Math.max(1, Math.round(image.width * scale)), Math.max(1, Math.round(image.height * scale))];
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    const address = canvas.toDataURL('image/jpeg', 0.8);
    if (address.length <= LONGEST_PICTURE) return address;
  }
  throw new Error('The picture is too large even when shrunk. Expected one of fewer details.');
}
