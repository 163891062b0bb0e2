import type { Mark, Side } from '../cuts/cutKind.ts';
import { FLATS, type FlatName } from '../cuts/flats.ts';
import type { Size } from '../tile/product.ts';

const N = '([\\d.]+)';
const SIDE = '(left|right|bottom|top)';
const FLAT = `(${FLATS.join('|')})`;
const PLACE = `${N} (?:up|along) the ${SIDE} side`;

/** What a mark says, read from the words on the card alone, in mm; throws where the words can't be followed. */
export function readMark(text: string, tile: Size): Mark {
  const [words] = text.split(/, marked before any cut|, after the straight cut/);
  const afterCut = text.endsWith('after the straight cut');
  const beforeCuts = text.endsWith('marked before any cut');
  const match = (pattern: string): RegExpExecArray | null => new RegExp(`^${pattern}$`).exec(words);
  const level = match(`${N} from the ${SIDE} (?:edge|point|rim)`);
  if (level) return { type: 'line', from: level[2] as Side, mm: [Number(level[1]), Number(level[1])], beforeCuts };
  const taper = match(`from the ${SIDE} edge ${N} at the \\w+, ${N} at the \\w+`);
  if (taper) return { type: 'line', from: taper[1] as Side, mm: [Number(taper[2]), Number(taper[3])], beforeCuts };
  const corner = match(`(corner off|keep only the corner): ${N} along from the (left|right), ${N} from the (bottom|top)`);
  if (corner)
    return {
      type: 'corner',
      keeps: corner[1] === 'corner off' ? 'rest' : 'corner',
      xMm: Number(corner[2]),
      sideX: corner[3] as 'left' | 'right',
      yMm: Number(corner[4]),
      sideY: corner[5] as 'bottom' | 'top',
    };
  const chord = match(`straight from ${N} (?:up|along) the ${FLAT} flat to ${N} (?:up|along) the ${FLAT} flat`);
  if (chord)
    return {
      type: 'chord',
      ends: [
        { flat: chord[2] as FlatName, mm: Number(chord[1]) },
        { flat: chord[4] as FlatName, mm: Number(chord[3]) },
      ],
    };
  const notch = match(`notch ${N} in from the (left|right), ${N} from the (bottom|top)`);
  if (notch)
    return {
      type: 'notch',
      afterCut,
      xMm: Number(notch[1]),
      sideX: notch[2] as 'left' | 'right',
      yMm: Number(notch[3]),
      sideY: notch[4] as 'bottom' | 'top',
    };
  const slot = match(`slot from the ${SIDE}: starts at ${N}, ${N} wide, ${N} deep`);
  if (slot) {
    const [, side, start, width, depth] = slot;
    return { type: 'slot', afterCut, side: side as Side, startMm: Number(start), widthMm: Number(width), depthMm: Number(depth) };
  }
  const bite = match(`bite from ${PLACE} to ${PLACE}, radius ${N}; grind to the line`);
  if (bite)
    return {
      type: 'bite',
      ends: [
        { side: bite[2] as Side, mm: Number(bite[1]) },
        { side: bite[4] as Side, mm: Number(bite[3]) },
      ],
      radiusMm: Number(bite[5]),
    };
  const circle = match(
    `hole ${N} mm, centre (-?[\\d.]+|−[\\d.]+) from the left, (-?[\\d.]+|−[\\d.]+) from the bottom; (?:core bit ${N} mm|grind to the line)`,
  );
  if (circle) {
    const [x, y] = [circle[2], circle[3]].map((figure) => Number(figure.replace('−', '-')));
    return { type: 'circle', xMm: x, yMm: y, diameterMm: Number(circle[1]), coreMm: circle[4] ? Number(circle[4]) : null };
  }
  const box = match(`box ${N} x ${N}, ${N} from the left, ${N} from the bottom`);
  if (box) return { type: 'window', widthMm: Number(box[1]), heightMm: Number(box[2]), xMm: Number(box[3]), yMm: Number(box[4]) };
  return readPath(words, tile);
}

/** A free line: its ends lie on sides of the tile's box or within it, what is between by two figures each. */
function readPath(words: string, { widthMm, heightMm }: Size): Mark {
  const end = (text: string): { readonly at: readonly [number, number]; readonly side: Side | null } => {
    const onSide = new RegExp(`^(?:from|to) ${PLACE}$`).exec(text);
    if (onSide) {
      const [mm, side] = [Number(onSide[1]), onSide[2] as Side];
      const at = { left: [0, mm], right: [widthMm, mm], bottom: [mm, 0], top: [mm, heightMm] } as const;
      return { at: at[side], side };
    }
    const within = new RegExp(`^(?:from|to|by) ${N} from the left and ${N} from the bottom$`).exec(text);
    if (!within) throw new Error(`a mark reads as none: ${words}`);
    return { at: [Number(within[1]), Number(within[2])], side: null };
  };
  const curve = /^curve (from .+?) (to .+?); between, from the left \/ from the bottom: (.+)$/.exec(words);
  if (curve) {
    const between = curve[3].split(', ').map((pair): readonly [number, number] => {
      const [x, y] = pair.split(' / ').map(Number);
      return [x, y];
    });
    const [first, last] = [end(curve[1]), end(curve[2])];
    return { type: 'path', points: [first.at, ...between, last.at], from: first.side, to: last.side };
  }
  if (!words.startsWith('line ')) throw new Error(`a mark reads as none: ${words}`);
  const places = words.slice(5).split(', ').map(end);
  return { type: 'path', points: places.map(({ at }) => at), from: places[0].side, to: places[places.length - 1].side };
}
