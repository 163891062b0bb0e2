import { seededNumbers } from '@azulejo/core/geometry/seededNumbers';
import { SHADES } from './tilePaths.ts';
import type { Faces } from './faces.ts';

type Face = Parameters<Faces['tiles']['get']> extends [string] ? NonNullable<ReturnType<Faces['tiles']['get']>> : never;

/** By how much the shades of a material differ from lightest to darkest, as a share of full light. */
const SPREAD: Readonly<Record<Face['material'], number>> = {
  ceramic: 0.035,
  porcelain: 0.03,
  'natural stone': 0.11,
  glass: 0.06,
  terracotta: 0.14,
  cement: 0.06,
  metal: 0.04,
};

/** A colour a shade lighter or darker, #rrggbb. */
export function shaded(colour: string, shade: number, material: Face['material'] = 'ceramic'): string {
  const by = (shade / (SHADES - 1) - 0.5) * SPREAD[material] * 255;
  const channel = (at: number): string => {
    const value = Math.round(Math.min(255, Math.max(0, parseInt(colour.slice(at, at + 2), 16) + by)));
    return value.toString(16).padStart(2, '0');
  };
  return `#${channel(1)}${channel(3)}${channel(5)}`;
}

const GRAIN_PX = 160;
const grains = new Map<string, HTMLCanvasElement>();

/** A see-through texture for faces that are not even: veins of stone, the grain of wood, the bloom of cement. */
export function grainFor({ material, face }: Face): HTMLCanvasElement | null {
  const kind =
    face === 'directional' ? 'grain' : face === 'veined' || material === 'natural stone' ? 'veins' : material === 'cement' ? 'bloom' : null;
  if (kind === null) return null;
  const made = grains.get(kind) ?? drawGrain(kind);
  grains.set(kind, made);
  return made;
}

function drawGrain(kind: 'grain' | 'veins' | 'bloom'): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [GRAIN_PX, GRAIN_PX];
  const pencil = canvas.getContext('2d');
  if (!pencil) return canvas;
  const next = seededNumbers(1);
  const strokes = kind === 'grain' ? 46 : kind === 'veins' ? 14 : 0;
  for (let k = 0; k < strokes; k++) {
    pencil.beginPath();
    pencil.strokeStyle = next() < 0.6 ? `rgba(30,22,14,${0.04 + next() * 0.08})` : `rgba(255,255,255,${0.05 + next() * 0.09})`;
    pencil.lineWidth = 0.5 + next() * (kind === 'grain' ? 1.2 : 1.8);
    const y = next() * GRAIN_PX;
    const slope = kind === 'grain' ? (next() - 0.5) * 3 : (next() - 0.2) * GRAIN_PX;
    pencil.moveTo(-5, y);
    pencil.bezierCurveTo(
      GRAIN_PX / 3,
      y + (next() - 0.5) * 14,
      (GRAIN_PX * 2) / 3,
      y + slope + (next() - 0.5) * 14,
      GRAIN_PX + 5,
      y + slope,
    );
    pencil.stroke();
  }
  for (let k = 0; k < (kind === 'bloom' ? 90 : 24); k++) {
    pencil.fillStyle = next() < 0.5 ? `rgba(20,20,20,${next() * 0.04})` : `rgba(255,255,255,${next() * 0.06})`;
    pencil.beginPath();
    pencil.arc(next() * GRAIN_PX, next() * GRAIN_PX, 3 + next() * 22, 0, 2 * Math.PI);
    pencil.fill();
  }
  return canvas;
}
