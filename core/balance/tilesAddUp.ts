import { differs, sumOf, type Law } from './law.ts';

/** Tiles laid, opened for cuts and strips, spare, broken and left over are what is bought, for every product, on every page that tells one of them. */
export const tilesAddUp: Law = (_job, { surfaces, materials }) =>
  materials.flatMap((line) => {
    if (line.item !== 'tiles') return [];
    const { how, productId, hand, quantity } = line;
    const name = `${productId}${hand ? `, ${hand}` : ''}`;
    const own = surfaces.flatMap(({ figures }) => figures.tiles.filter((tile) => tile.productId === productId && tile.hand === hand));
    const bought = sumOf(line.packs, ({ count, size }) => count * size) + line.inHand;
    return [
      ...differs(
        `${name}: opened on the order and on the surfaces`,
        how.opened,
        sumOf(own, ({ opened }) => opened),
      ),
      ...differs(
        `${name}: whole and for cuts`,
        sumOf(how.surfaces, ({ whole, forCuts }) => whole + forCuts),
        how.opened,
      ),
      ...differs(`${name}: opened, broken and spare`, how.opened + how.breakage + how.spare, quantity),
      ...differs(`${name}: needed and left over are bought`, quantity + line.left, bought),
    ];
  });
