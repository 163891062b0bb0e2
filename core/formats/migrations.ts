import { JOB_VERSION } from '../job/job.ts';

type Data = Readonly<Record<string, unknown>>;

const isData = (value: unknown): value is Data => typeof value === 'object' && value !== null && !Array.isArray(value);

const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);

/** Each brings a job file of its version one version forward; what it can't read it leaves for the check that follows. */
export const MIGRATIONS: Readonly<Record<number, (job: Data) => Data>> = {
  1: measureFromEdges,
  2: nameFaces,
  3: listPacks,
  4: nameInsets,
  // Version 6 lets a setout lie square to any edge and knows how setouts are weighed; what is left out is left to the product.
  5: (job) => job,
  6: listMaterials,
};

/** Brings parsed JSON of an older job file to the version this code reads. */
export function bringForward(job: Data): Data {
  let now = job;
  for (let version = Number(job['version']); version < JOB_VERSION; version++) {
    const step = MIGRATIONS[version];
    if (!step) return now;
    now = { ...step(now), version: version + 1 };
  }
  return now;
}

/** Version 1 placed fixtures from the left or right and the top or bottom; version 2 from two edges by name. */
function measureFromEdges(job: Data): Data {
  const moved = (fixture: unknown): unknown => {
    if (!isData(fixture) || 'from' in fixture) return fixture;
    const { fromX, xMm, fromY, yMm, ...rest } = fixture;
    return {
      ...rest,
      from: [
        { edge: fromX, mm: xMm },
        { edge: fromY, mm: yMm },
      ],
    };
  };
  const surface = (data: unknown): unknown => {
    if (!isData(data) || !isData(data['measured'])) return data;
    return { ...data, measured: { ...data['measured'], fixtures: listOf(data['measured']['fixtures']).map(moved) } };
  };
  return { ...job, surfaces: listOf(job['surfaces']).map(surface) };
}

/** Version 2 knew directional tiles only; version 3 names what the face shows. */
function nameFaces(job: Data): Data {
  const product = (data: unknown): unknown => {
    if (!isData(data) || !('directional' in data)) return data;
    const { directional, ...rest } = data;
    return { ...rest, face: directional === true ? 'directional' : 'plain' };
  };
  return { ...job, products: listOf(job['products']).map(product) };
}

/** Version 3 knew one pack of each material; version 4 lists those it is sold in. */
function listPacks(job: Data): Data {
  const prices = job['prices'];
  if (!isData(prices)) return job;
  const listed = Object.entries(prices).map(([item, sold]) => {
    if (!isData(sold) || 'packs' in sold) return [item, sold];
    const { bagKg, cartridgeMl, price, ...rest } = sold;
    return [item, { ...rest, packs: [{ size: bagKg ?? cartridgeMl, price }] }];
  });
  return { ...job, prices: Object.fromEntries(listed) as unknown };
}

/** Version 4 called insets areas, a word that also means square metres. */
function nameInsets(job: Data): Data {
  const surface = (data: unknown): unknown => {
    if (!isData(data) || !('areas' in data)) return data;
    const { areas, ...rest } = data;
    return { ...rest, insets: areas };
  };
  return { ...job, surfaces: listOf(job['surfaces']).map(surface) };
}

/** The packs of version 6 where nobody changed them. */
const USUAL_PACKS: Readonly<Record<string, string>> = {
  adhesive: '[{"size":20,"price":18.5}]',
  grout: '[{"size":5,"price":14.9}]',
  sealant: '[{"size":310,"price":9.8}]',
};

/** Version 6 kept figures of use in one list and prices in another; version 7 has both by material, and only what is not usual. */
function listMaterials(job: Data): Data {
  const { prices, consumption, ...rest } = job;
  if (!isData(consumption)) return job;
  const { trowelNotchMm, backButtered, groutKgPerLitre, groutLeftPercent, sealantDepthMm, ...cutting } = consumption;
  const packsOf = (item: string): Data => {
    const sold = isData(prices) ? prices[item] : undefined;
    return isData(sold) && 'packs' in sold && JSON.stringify(sold['packs']) !== USUAL_PACKS[item] ? { packs: sold['packs'] } : {};
  };
  const figures = (own: Data): Data => {
    const said = Object.entries(own).filter(([, value]) => value !== undefined);
    return said.length === 0 ? {} : { figures: Object.fromEntries(said) };
  };
  const notUsual = (value: unknown, usual: unknown): unknown => (value === usual ? undefined : value);
  const choices = {
    ...(typeof trowelNotchMm === 'number' ? { notchMm: trowelNotchMm } : {}),
    ...(backButtered === true ? { backs: 'skim' } : {}),
  };
  const materials = {
    adhesive: { ...packsOf('adhesive'), ...(Object.keys(choices).length > 0 ? { choices } : {}) },
    grout: {
      ...packsOf('grout'),
      ...figures({ kgPerLitre: notUsual(groutKgPerLitre, 1.6), leftPercent: notUsual(groutLeftPercent, 10) }),
    },
    sealant: { ...packsOf('sealant'), ...figures({ depthMm: notUsual(sealantDepthMm, 6) }) },
  };
  const said = Object.entries(materials).filter(([, own]) => Object.keys(own).length > 0);
  return { ...rest, consumption: cutting, materials: Object.fromEntries(said) };
}
