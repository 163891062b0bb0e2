import { createRouter, createWebHistory } from 'vue-router';
import JobListView from './steps/jobs/JobListView.vue';

/** The steps of a surface, in the order of the work. */
export const SURFACE_STEPS = [
  { name: 'measure', label: 'Measure' },
  { name: 'tile', label: 'Tile' },
  { name: 'setout', label: 'Set out' },
  { name: 'cuts', label: 'Cuts' },
] as const;

/** One of the steps of a surface. */
export type SurfaceStep = (typeof SURFACE_STEPS)[number]['name'];

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'jobs', component: JobListView },
    { path: '/jobs/:jobId', name: 'job', component: () => import('./steps/job/JobView.vue'), props: true },
    { path: '/jobs/:jobId/order', name: 'order', component: () => import('./steps/order/OrderView.vue'), props: true },
    {
      path: '/jobs/:jobId/surfaces/:surfaceId/:step(measure|tile|setout|cuts)',
      name: 'surface',
      component: () => import('./steps/SurfaceView.vue'),
      props: true,
    },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
});
