import { createHash } from 'node:crypto';
import { photoName, type Entry } from '@azulejo/core/site/entry';

/** A picture as it is kept: named by what it holds. */
export interface Photo {
  readonly hash: string;
  readonly media: string;
  /** In base64. */
  readonly content: string;
}

/** Takes the pictures out of entries: each is kept once, and named where it stood. */
export function takeOutPhotos(entries: readonly Entry[]): { readonly entries: readonly Entry[]; readonly photos: readonly Photo[] } {
  const photos = new Map<string, Photo>();
  const named = entries.map((entry) => {
    const photo = photoOf(imageOf(entry));
    if (!photo) return entry;
    photos.set(photo.hash, photo);
    return withImage(entry, photoName(photo.hash));
  });
  return { entries: named, photos: [...photos.values()] };
}

/** Puts pictures back into the entries that name them; where one is gone, its name stays. */
export async function putBackPhotos(
  entries: readonly Entry[],
  find: (hash: string) => Promise<Pick<Photo, 'media' | 'content'> | null>,
): Promise<Entry[]> {
  const whole: Entry[] = [];
  for (const entry of entries) {
    const hash = hashOf(entry);
    const photo = hash === null ? null : await find(hash);
    whole.push(photo ? withImage(entry, `data:${photo.media};base64,${photo.content}`) : entry);
  }
  return whole;
}

/** The photo that an entry names; null for none, or one that stands in it. */
export const hashOf = (entry: Entry): string | null => /^photo:([0-9a-f]{64})$/.exec(imageOf(entry) ?? '')?.[1] ?? null;

const imageOf = ({ data }: Entry): string | undefined => ('image' in data ? data.image : undefined);

const withImage = (entry: Entry, image: string): Entry => ({ ...entry, data: { ...entry.data, image } as Entry['data'] });

function photoOf(address: string | undefined): Photo | null {
  const [, media, text] = /^data:(image\/[a-z]+);base64,(.+)$/.exec(address ?? '') ?? [];
  if (!media) return null;
  const bytes = Buffer.from(text, 'base64');
  return { hash: createHash('sha256').update(bytes).digest('hex'), media, content: bytes.toString('base64') };
}
