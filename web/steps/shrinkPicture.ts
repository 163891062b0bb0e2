import { LONGEST_PHOTO, LONGEST_SMALL } from '@azulejo/core/site/entry';
import { LONGEST_PICTURE } from '@azulejo/core/tile/product';

/** Sides that are tried until the picture is small enough, pixels: of a face for the job, of a photo for the log and for its lists. */
const SIDES_PX = { face: [320, 240, 180, 128], photo: [1280, 1024, 800, 640, 480], small: [224, 160, 112, 80, 56] } as const;
const LONGEST = { face: LONGEST_PICTURE, photo: LONGEST_PHOTO, small: LONGEST_SMALL } as const;

/** A larger file is no photo of a phone, bytes. */
const LARGEST_FILE = 40 * 1024 * 1024;

/** A picture as a small data address, drawn anew: nothing else of the file, such as where it was taken, is kept. Rejects with words for the person where the file is no picture. */
export async function shrinkPicture(file: Blob, of: keyof typeof SIDES_PX = 'face'): Promise<string> {
  if (file.size > LARGEST_FILE) throw new Error('The file is over 40 MB. Expected a photo.');
  const image = await createImageBitmap(file).catch(() => null);
  if (!image) throw new Error('The file is no picture that can be read. Expected PNG, JPEG or WebP.');
  for (const side of SIDES_PX[of]) {
    const scale = Math.min(1, side / Math.max(image.width, image.height));
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [Math.max(1, Math.round(image.width * scale)), Math.max(1, Math.round(image.height * scale))];
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    const address = canvas.toDataURL('image/jpeg', 0.8);
    if (address.length <= LONGEST[of]) return address;
  }
  throw new Error('The picture is too large even when shrunk. Expected one of fewer details.');
}
