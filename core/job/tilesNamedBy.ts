import type { Surface } from './job.ts';

/** Every tile that a surface names, by id. */
export function tilesNamedBy({ bands, insets, ...surface }: Surface): ReadonlySet<string> {
  const laid = [surface, ...insets];
  return new Set([
    ...laid.flatMap((own) => [
      own.productId,
      ...Object.values(own.parts),
      ...[own.colours, ...Object.values(own.partColours)].flatMap(({ others }) => others),
      ...(own.border ? [own.border.productId] : []),
    ]),
    ...bands.map((band) => band.productId),
  ]);
}
