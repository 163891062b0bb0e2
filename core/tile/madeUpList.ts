import type { Product } from './product.ts';

const tile = (
  id: string,
  name: string,
  material: Product['material'],
  nominal: [number, number],
  measured: [number, number] | null,
  thicknessMm: number,
  piecesPerBox: number,
  boxPrice: number,
  colour: string,
  directional = false,
): Product => ({
  id,
  name,
  material,
  nominal: { widthMm: nominal[0], heightMm: nominal[1] },
  measured: measured && { widthMm: measured[0], heightMm: measured[1] },
  thicknessMm,
  piecesPerBox,
  boxPrice,
  colour,
  directional,
});

/** Invented tiles to start from; no maker stands behind any of them. Sizes and thickness in mm. */
export const MADE_UP_TILES: readonly Product[] = [
  tile('quay-300', 'Quay grey 300', 'porcelain', [300, 300], [297.5, 297.5], 9, 11, 26.4, '#b9bfc4'),
  tile('quay-600', 'Quay grey 600 x 300', 'porcelain', [600, 300], [597.5, 297.5], 9, 6, 34.2, '#b2b9bf'),
  tile('slip-600', 'Slipway 600', 'porcelain', [600, 600], [598, 598], 10, 4, 43.2, '#cbc6bb'),
  tile('loaf-brick', 'Loaf brick 200 x 100', 'ceramic', [200, 100], [198, 98.5], 8, 50, 31.5, '#e9e4d6'),
  tile('oven-brick', 'Oven brick 240 x 65', 'terracotta', [240, 65], [238.5, 64], 14, 54, 48.6, '#c4775a'),
  tile('salt-square', 'Salt glaze 150', 'ceramic', [150, 150], [148, 148], 7, 44, 28.6, '#dfe8ea'),
  tile('harbour-12', 'Harbour blue 12 in', 'ceramic', [304.8, 304.8], [300.0375, 300.0375], 8, 10, 32, '#7fa3bd'),
  tile('deck-plank', 'Deck plank 900 x 150', 'porcelain', [900, 150], [898, 148], 10, 8, 46.8, '#b08d68', true),
  tile('brine-glass', 'Brine glass 300 x 75', 'glass', [300, 75], null, 8, 40, 96, '#a9cfc6'),
  tile('rye-slate', 'Rye slate 400', 'natural stone', [400, 400], null, 12, 6, 58.8, '#6d7074'),
];
