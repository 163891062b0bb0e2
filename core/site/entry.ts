import { z } from 'zod';
import { timerSchema } from './timer.ts';

/** Characters a photo may take in the log, as a data address: scaled down before it is kept. */
export const LONGEST_PHOTO = 500_000;

/** Characters that the small picture of a photo may take, for lists. */
export const LONGEST_SMALL = 16_000;

const [EARLIEST, LATEST] = [Date.UTC(1970, 0, 1), Date.UTC(2200, 0, 1)];

const id = z.string().min(1).max(40);
const words = z.string().trim().max(500);
const amount = z.number().min(0).max(1_000_000);
const pin = z.tuple([z.number(), z.number()]).nullable().describe('Where on the drawing of the surface, mm; null for nowhere');

const picture = z.string().regex(/^data:image\/(jpeg|webp|png);base64,[A-Za-z0-9+/=]+$/);
const image = z
  .union([picture.max(LONGEST_PHOTO), z.string().regex(/^photo:[0-9a-f]{64}$/)])
  .describe('The picture, or the name of one that the job has');
const small = picture.max(LONGEST_SMALL).optional().describe('The same picture in small, for lists');

/** A photo that is kept apart from the log, named by what it holds: the SHA-256 of its bytes. */
export const photoName = (hash: string): string => `photo:${hash}`;

/** Checks on the way, each a minute. */
export const CHECKS = ['level', 'plumb', 'coverage', 'controlLine', 'diagonal'] as const;

const orderLine = z.strictObject({
  key: z.string().max(120).optional().describe('What it is, whatever it is called: the material, the tile, the variant'),
  name: z.string().max(120),
  quantity: amount,
  unit: z.string().max(12),
  packs: z.array(z.strictObject({ count: amount, size: amount, price: amount })).max(8),
  cost: amount,
});

/** What can be written down on site; each kind with what it holds. */
const dataSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('order'),
    supplier: z.string().max(80),
    lines: z.array(orderLine).max(300),
    total: amount,
    currency: z.string().max(3),
  }),
  z.strictObject({ kind: z.literal('lot'), productId: id, code: z.string().trim().min(1).max(40), pieces: amount }),
  z.strictObject({ kind: z.literal('mix'), item: id, kg: amount }),
  z.strictObject({ kind: z.literal('used'), item: id, packs: amount, size: amount }),
  z.strictObject({ kind: z.literal('breakage'), productId: id, label: z.string().max(24), pieces: amount, why: words }),
  z.strictObject({
    kind: z.literal('hours'),
    task: id,
    hours: z.number().min(0).max(24),
    upTo: z.number().min(0).max(1).optional().describe('Which part of that work was done by then on the surface, by what was ticked'),
  }),
  z.strictObject({ kind: z.literal('note'), text: words.min(1), pin }),
  z.strictObject({
    kind: z.literal('photo'),
    image,
    small,
    text: words,
    pin,
  }),
  z.strictObject({
    kind: z.literal('reading'),
    check: z.enum(CHECKS),
    value: z.number().min(-100_000).max(100_000),
    wanted: z.number().nullable(),
    text: words,
  }),
  z.strictObject({ kind: z.literal('snag'), text: words.min(1), pin, done: z.boolean(), image: image.optional(), small }),
  z.strictObject({
    kind: z.literal('leftOver'),
    productId: id,
    name: z.string().max(80),
    widthMm: amount,
    heightMm: amount,
    pieces: amount,
  }),
  z.strictObject({ kind: z.literal('taken'), entryId: z.uuid(), pieces: amount }),
  z.strictObject({ kind: z.literal('change'), text: words.min(1), pin }).describe('Done otherwise than it was planned'),
  timerSchema.extend({ kind: z.literal('timer') }).describe('A wait that runs from the time of the entry; withdrawn when it is done'),
  z
    .strictObject({ kind: z.literal('closed'), open: z.int().min(0).max(10_000).describe('How much was still open') })
    .describe('The job is done with; taken back, it is not'),
  z.strictObject({ kind: z.literal('withdrawn') }).describe('Takes back the entry it replaces'),
]);

/** Something that happened on site: a record that is added and never changed. A correction replaces it. */
export const entrySchema = z.strictObject({
  id: z.uuid().describe('Named by who makes it: sent again, it is not made twice'),
  at: z.iso
    .datetime({ offset: true, abort: true })
    .refine((text) => Date.parse(text) >= EARLIEST && Date.parse(text) < LATEST)
    .describe('When, by the clock of who wrote it: a clock that was never set says 1970'),
  by: z.string().trim().max(60).describe('Who; empty for nobody in particular'),
  surfaceId: id.nullable().describe('The surface it is about; null for the whole job'),
  replaces: z.uuid().nullable().describe('The entry it corrects; null for none'),
  data: dataSchema,
});

/** Something that happened on site. */
export type Entry = z.infer<typeof entrySchema>;

/** What kind of thing it is. */
export type EntryKind = Entry['data']['kind'];

/** An entry of one kind. */
export type EntryOf<Kind extends EntryKind> = Entry & { readonly data: Extract<Entry['data'], { readonly kind: Kind }> };

/**
 * What is true of a log: entries that none replaces, in the order of their clocks. Of two corrections of one entry made
 * beside each other both stay in sight.
 */
export function entriesInForce(entries: Iterable<Entry>): Entry[] {
  const all = new Map([...entries].map((entry) => [entry.id, entry]));
  const replaced = new Set([...all.values()].flatMap(({ replaces }) => replaces ?? []));
  return [...all.values()]
    .filter((entry) => !replaced.has(entry.id) && entry.data.kind !== 'withdrawn')
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at) || (a.id < b.id ? -1 : 1));
}

/** The entries of one kind. */
export const entriesOf = <Kind extends EntryKind>(entries: readonly Entry[], kind: Kind): EntryOf<Kind>[] =>
  entries.filter((entry): entry is EntryOf<Kind> => entry.data.kind === kind);
