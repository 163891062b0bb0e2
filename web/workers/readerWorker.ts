import { expose } from 'comlink';
import { readOutline } from '@azulejo/core/formats/outline/readOutline';
import { readProductsCsv } from '@azulejo/core/formats/productsCsv';

/** What is read from files that come from elsewhere, away from the page: however odd a file is, the page stays at hand. */
const reader = { readOutline, readProductsCsv };

export type ImportReader = typeof reader;

expose(reader);
