import { productSchema, type Product } from '../tile/product.ts';
import { sheetSize } from '../tile/sheet/sheetChips.ts';
import type { Sheet } from '../tile/sheet/sheet.ts';
import type { TileShape } from '../tile/shape.ts';
import { anchorMotif, buoyLanterns, foamHexagons, kelpStrips, pearlRounds, tideSquares } from './sheets.ts';

type Extra = Partial<Pick<Product, 'face' | 'edge' | 'porous' | 'backArrow'>> & { readonly shape?: TileShape };

const tile = (
  id: string,
  name: string,
  material: Product['material'],
  nominal: readonly [number, number],
  measured: readonly [number, number] | null,
  thicknessMm: number,
  piecesPerBox: number,
  boxPrice: number,
  colour: string,
  extra: Extra = {},
): Product =>
  productSchema.parse({
    id,
    name,
    material,
    nominal: { widthMm: nominal[0], heightMm: nominal[1] },
    measured: measured && { widthMm: measured[0], heightMm: measured[1] },
    thicknessMm,
    piecesPerBox,
    boxPrice,
    colour,
    ...extra,
  });

/** A mosaic: its size is that of its chips, its colour in lists the first of its palette. */
function mosaic(
  id: string,
  name: string,
  material: Product['material'],
  thicknessMm: number,
  [sheets, boxPrice]: readonly [number, number],
  shape: Sheet,
  extra: Extra = {},
): Product {
  const { widthMm, heightMm } = sheetSize(shape);
  const size = [Math.round(widthMm * 100) / 100, Math.round(heightMm * 100) / 100] as const;
  return tile(id, name, material, size, size, thicknessMm, sheets, boxPrice, shape.palette[0], { ...extra, shape });
}

const sixty = Math.sqrt(3);

const makeList = (): readonly Product[] => [
  tile('quay-300', 'Quay grey 300', 'porcelain', [300, 300], [297.5, 297.5], 9, 11, 26.4, '#b9bfc4', { edge: 'rectified' }),
  tile('quay-600', 'Quay grey 600 x 300', 'porcelain', [600, 300], [597.5, 297.5], 9, 6, 34.2, '#b2b9bf', { edge: 'rectified' }),
  tile('slip-600', 'Slipway 600', 'porcelain', [600, 600], [598, 598], 10, 4, 43.2, '#cbc6bb', { edge: 'rectified', backArrow: true }),
  tile('loaf-brick', 'Loaf brick 200 x 100', 'ceramic', [200, 100], [198, 98.5], 8, 50, 31.5, '#e9e4d6', { edge: 'bevelled' }),
  tile('oven-brick', 'Oven brick 240 x 65', 'terracotta', [240, 65], [238.5, 64], 14, 54, 48.6, '#c4775a', { porous: true }),
  tile('salt-square', 'Salt glaze 150', 'ceramic', [150, 150], [148, 148], 7, 44, 28.6, '#dfe8ea'),
  tile('rye-square', 'Rye glaze 150', 'ceramic', [150, 150], [148, 148], 7, 44, 29.9, '#7c8f86'),
  tile('harbour-12', 'Harbour blue 12 in', 'ceramic', [304.8, 304.8], [300.0375, 300.0375], 8, 10, 32, '#7fa3bd'),
  tile('deck-plank', 'Deck plank 900 x 150', 'porcelain', [900, 150], [898, 148], 10, 8, 46.8, '#b08d68', { face: 'directional' }),
  tile('brine-glass', 'Brine glass 300 x 75', 'glass', [300, 75], null, 8, 40, 96, '#a9cfc6'),
  tile('rye-slate', 'Rye slate 400', 'natural stone', [400, 400], null, 12, 6, 58.8, '#6d7074', { face: 'veined', porous: true }),
  tile('mooring-print', 'Mooring print 200', 'cement', [200, 200], [199.5, 199.5], 15, 12, 64.8, '#8c9aa0', {
    face: 'printed',
    porous: true,
    edge: 'pressed',
  }),
  tile('sluice-large', 'Sluice stone 395', 'natural stone', [400, 400], [395, 395], 12, 6, 61.2, '#c3b59b', { porous: true }),
  tile('sluice-half', 'Sluice stone 395 x 195', 'natural stone', [400, 200], [395, 195], 12, 12, 61.2, '#bdae93', { porous: true }),
  tile('sluice-small', 'Sluice stone 195', 'natural stone', [200, 200], [195, 195], 12, 24, 61.2, '#cabda5', { porous: true }),
  tile('sluice-long', 'Sluice stone 595 x 395', 'natural stone', [600, 400], [595, 395], 12, 4, 61.2, '#b9a98c', { porous: true }),
  tile('weave-strip', 'Weave strip 98 x 48', 'natural stone', [100, 50], [98, 48], 9, 60, 39, '#e2ddd2', { porous: true }),
  tile('weave-dot', 'Weave dot 22', 'natural stone', [22, 22], [22, 22], 9, 200, 24, '#4a4f55', { porous: true }),
  tile('weave-square', 'Weave square 48', 'natural stone', [48, 48], [48, 48], 9, 100, 32, '#6b5f55', { porous: true }),
  tile('salt-small', 'Salt glaze 73', 'ceramic', [75, 75], [73, 73], 7, 120, 34, '#c9d6d9'),
  tile('deck-chevron', 'Deck chevron 600 x 100', 'porcelain', [600, 100], [598, 98.5], 10, 14, 55.4, '#a98561', {
    face: 'directional',
    shape: { kind: 'chevron', cutDeg: 45 },
  }),
  tile('honey-hex', 'Honey hexagon 200', 'porcelain', [200, 400 / sixty], [198.6, 397.2 / sixty], 9, 22, 37.4, '#d8b36a', {
    shape: { kind: 'hexagon', tipMm: null },
  }),
  tile('picket-hex', 'Picket 65 x 260', 'ceramic', [65, 260], [64, 258], 8, 48, 45.6, '#b7c7b0', { shape: { kind: 'hexagon', tipMm: 32 } }),
  tile('pier-octagon', 'Pier octagon 150', 'ceramic', [150, 150], [149.4, 149.4], 9, 36, 33.8, '#ece9e1', {
    shape: { kind: 'octagon', cornerMm: 44 },
    porous: true,
  }),
  tile('pier-dot', 'Pier dot 60', 'ceramic', [60, 60], [59.8, 59.8], 9, 100, 29, '#2f3a44', { porous: true }),
  tile('buoy-lantern', 'Buoy lantern 150', 'ceramic', [150, 165], [148.5, 163.5], 8, 40, 52, '#5f8aa3', {
    shape: { kind: 'lantern', swell: 0.8 },
  }),
  tile('float-round', 'Float round 50', 'ceramic', [50, 50], [49.5, 49.5], 6, 240, 49, '#cfdcdf', { shape: { kind: 'round' } }),
  tile('herring-scale', 'Herring scale 120', 'ceramic', [120, 120], [118.6, 118.6], 8, 60, 46, '#6fa59a', { shape: { kind: 'scallop' } }),
  tile('sail-diamond', 'Sail diamond 100', 'porcelain', [100, 100 * sixty], [98.8, 98.8 * sixty], 9, 60, 41, '#d9d3c4', {
    shape: { kind: 'diamond' },
  }),
  tile('sail-diamond-mid', 'Sail diamond 100 mid', 'porcelain', [100, 100 * sixty], [98.8, 98.8 * sixty], 9, 60, 41, '#a39a86', {
    shape: { kind: 'diamond' },
  }),
  tile('sail-diamond-dark', 'Sail diamond 100 dark', 'porcelain', [100, 100 * sixty], [98.8, 98.8 * sixty], 9, 60, 41, '#5d574c', {
    shape: { kind: 'diamond' },
  }),
  tile('pennant', 'Pennant triangle 180', 'cement', [180, 90 * sixty], [179, 89.5 * sixty], 12, 30, 51, '#c8876a', {
    shape: { kind: 'triangle' },
    porous: true,
  }),
  tile('pennant-pale', 'Pennant triangle 180 pale', 'cement', [180, 90 * sixty], [179, 89.5 * sixty], 12, 30, 51, '#e6d8c8', {
    shape: { kind: 'triangle' },
    porous: true,
  }),
  tile('net-trim', 'Net trim 150 x 50', 'metal', [150, 50], [149.5, 49.5], 8, 20, 78, '#9a8f7d', { edge: 'rectified' }),
  mosaic('foam-hex', 'Foam hexagon mosaic', 'porcelain', 6, [10, 84], foamHexagons()),
  mosaic('tide-squares', 'Tide glass mosaic', 'glass', 4, [11, 148.5], tideSquares()),
  mosaic('anchor-motif', 'Anchor glass motif', 'glass', 4, [4, 92], anchorMotif(), { face: 'printed' }),
  mosaic('kelp-strips', 'Kelp strip mosaic', 'natural stone', 8, [10, 119], kelpStrips(), { porous: true }),
  mosaic('pearl-rounds', 'Pearl round mosaic', 'porcelain', 6, [10, 76], pearlRounds()),
  mosaic('buoy-sheet', 'Buoy lantern mosaic', 'ceramic', 7, [8, 99.2], buoyLanterns()),
];

let list: readonly Product[] | null = null;

/** Invented tiles to start from; no maker stands behind any of them. Made when they are first asked for. */
export const madeUpTiles = (): readonly Product[] => (list ??= makeList());
