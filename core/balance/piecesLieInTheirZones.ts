import { sharedArea } from '../geometry/clip.ts';
import { isInside, polygonArea, polygonsArea } from '../geometry/ring.ts';
import { differs, sumOf, type Law } from './law.ts';

/** Pieces are laid where their zone lies, not beside it: so much of a piece at least, as a share; one that lies over several is listed where its label stands. */
const LEAST_SHARE = 0.25;

/** The zones of a surface, drawn, part it without gap or overlap, and each cut lies in the zone that lists it. */
export const piecesLieInTheirZones: Law = (job, { surfaces }) =>
  surfaces.flatMap(({ surfaceId, zones: { zones }, traced, cuts }) => {
    if (zones.length === 0) return [];
    const name = job.surfaces.find(({ id }) => id === surfaceId)?.name ?? surfaceId;
    const strayed = zones.flatMap(({ number, polygons, cuts: own }) =>
      cuts
        .filter(({ label }) => own.includes(label))
        .filter(
          ({ polygon, labelAt }) => sharedArea([polygon], polygons) < LEAST_SHARE * polygonArea(polygon) && !isInside(labelAt, polygons),
        )
        .map(({ label }) => `${name}: ${label} lies outside zone ${number}, which lists it`),
    );
    return [
      ...differs(
        `${name}: zones as they are drawn and the surface, m²`,
        sumOf(zones, ({ polygons }) => polygonsArea(polygons)) / 1e6,
        polygonsArea(traced.floor) / 1e6,
        1e-4,
      ),
      ...strayed.slice(0, 3),
    ];
  });
