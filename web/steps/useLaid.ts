import { changeLabel } from '@azulejo/core/job/edit/changeLabel';
import { useJobStore } from '../stores/jobStore.ts';

/** Says of a surface of the open job that it is laid, or that it is not. */
export function useLaid(): (id: string, laid: boolean) => void {
  const jobs = useJobStore();
  return (id, laid) => {
    const name = jobs.job?.surfaces.find((one) => one.id === id)?.name ?? 'surface';
    jobs.change(changeLabel(laid ? 'surfaceLaid' : 'surfaceNotLaid', name), (draft) => {
      const surface = draft.surfaces.find((one) => one.id === id);
      if (surface) surface.laid = laid;
    });
  };
}
