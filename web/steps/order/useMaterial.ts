import { changeLabel, type ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import type { Job } from '@azulejo/core/job/job';
import type { SoldPack } from '@azulejo/core/takeoff/materialKind';
import { packsFor, type MaterialId } from '@azulejo/core/takeoff/registry';
import type { Issue } from '@azulejo/core/result';
import { useJobStore } from '../../stores/jobStore.ts';

type Settings = NonNullable<Job['materials'][string]>;

/** What a hand does to the settings of one material; what ends up as usual is left out of the job. */
export function useMaterial(item: () => MaterialId) {
  const jobs = useJobStore();
  const set = (label: ChangeLabel, recipe: (draft: Settings) => void): readonly Issue[] =>
    jobs.change(label, (draft) => {
      const own: Settings = draft.materials[item()] ?? {};
      recipe(own);
      for (const key of ['figures', 'choices'] as const)
        if (own[key] && Object.keys(own[key]).length === 0) Reflect.deleteProperty(own, key);
      if (Object.keys(own).length === 0) Reflect.deleteProperty(draft.materials, item());
      else draft.materials[item()] = own;
    });
  const setPacks = (label: ChangeLabel, recipe: (packs: { size: number; price: number; by?: 'l' }[]) => void): readonly Issue[] =>
    set(label, (own) => {
      const { job } = jobs;
      const packs = (job ? packsFor(item(), job) : []).map(({ size, price, by }: SoldPack) => ({ size, price, ...(by ? { by } : {}) }));
      recipe(packs);
      own.packs = packs;
    });
  /** A figure is typed into the data sheet where one is named, else into the job. */
  const setFigure = (name: string) => (value: number) =>
    set(changeLabel('materialFigure', name), (own) => {
      if (own.sheet) own.sheet.figures[name] = value;
      else own.figures = { ...own.figures, [name]: value };
    });
  return { set, setPacks, setFigure };
}
