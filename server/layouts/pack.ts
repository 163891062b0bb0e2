import { gunzipSync, gzipSync } from 'node:zlib';

/** Quick rather than small: a layout is a tenth of its text either way. */
const LEVEL = 4;

/** A text, compressed by gzip, in base64: as it is kept and sent. */
export const pack = (text: string): string => gzipSync(text, { level: LEVEL }).toString('base64');

/** Throws where it was not packed so. */
export const unpack = (content: string): string => gunzipSync(Buffer.from(content, 'base64')).toString();
