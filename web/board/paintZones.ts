import { distance, scale, subtract, unit } from '@azulejo/core/geometry/point';
import type { LayingZone } from '@azulejo/core/zones/layingZones';
import { traceRing, type Brush } from './paintTiles.ts';
import { toScreen } from './view.ts';

/** A badge of a number, pixels: smaller on small zones. */
const BADGE_PX = { least: 9, most: 15, share: 0.18 };
const HEAD_PX = 9;

/** The zones in which a surface is laid: outlined, numbered in their order, each with an arrow to where the work goes on. */
export function paintZones(brush: Brush, zones: readonly LayingZone[], chosen: string | null): void {
  const { context, palette } = brush;
  for (const zone of zones) {
    context.beginPath();
    for (const ring of zone.polygons.flat()) traceRing(brush, ring);
    if (zone.id === chosen || !zone.isReached) {
      context.globalAlpha = 0.28;
      context.fillStyle = zone.isReached ? palette.chosen : palette.chalk;
      context.fill('evenodd');
      context.globalAlpha = 1;
    }
    context.lineWidth = 2.5;
    context.strokeStyle = palette.chosen;
    context.stroke();
  }
  for (const zone of zones) paintArrow(brush, zone);
  for (const zone of zones) paintNumber(brush, zone);
}

const badgeOf = ({ view }: Brush, { areaMm2 }: LayingZone): number =>
  Math.min(BADGE_PX.most, Math.max(BADGE_PX.least, BADGE_PX.share * Math.sqrt(areaMm2) * view.scale));

/** From the number towards the next place to kneel, or out. */
function paintArrow(brush: Brush, zone: LayingZone): void {
  const { context, view, palette } = brush;
  const { labelAt, towards } = zone;
  if (!towards) return;
  const [from, to] = [toScreen(view, labelAt), toScreen(view, towards)];
  const far = distance(from, to);
  if (far < badgeOf(brush, zone) + HEAD_PX) return;
  const way = unit(subtract(to, from));
  const tip = [to[0] + way[0] * HEAD_PX, to[1] + way[1] * HEAD_PX] as const;
  const back = scale(way, -HEAD_PX);
  context.beginPath();
  context.moveTo(...from);
  context.lineTo(...tip);
  for (const side of [1, -1]) {
    context.moveTo(...tip);
    context.lineTo(tip[0] + back[0] - side * back[1] * 0.6, tip[1] + back[1] + side * back[0] * 0.6);
  }
  context.lineWidth = 2.5;
  context.lineCap = 'round';
  context.strokeStyle = palette.chosen;
  context.stroke();
  context.lineCap = 'butt';
}

function paintNumber(brush: Brush, zone: LayingZone): void {
  const { context, view, palette } = brush;
  const { labelAt, number, isReached } = zone;
  const radius = badgeOf(brush, zone);
  const [x, y] = toScreen(view, labelAt);
  context.beginPath();
  context.arc(x, y, radius, 0, 2 * Math.PI);
  context.fillStyle = isReached ? palette.chosen : palette.chalk;
  context.fill();
  context.fillStyle = palette.badgeInk;
  context.font = `700 ${Math.round(radius * 1.1)}px Barlow, sans-serif`;
  context.textAlign = 'center';
  context.textBaseline = 'middle';
  context.fillText(String(number), x, y + 1);
}
