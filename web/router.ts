import { createRouter, createWebHistory } from 'vue-router';
import { leaveField } from './steps/leaveField.ts';
import JobListView from './steps/jobs/JobListView.vue';

/** Whether a press on Back or Forward is being followed, and no link. Listened for ahead of the router. */
let isTravelling = false;
window.addEventListener(
  'popstate',
  () => {
    isTravelling = true;
    setTimeout(() => (isTravelling = false), 50);
  },
  true,
);

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'jobs', component: JobListView },
    { path: '/jobs/:jobId', name: 'job', component: () => import('./steps/job/JobView.vue'), props: true },
    { path: '/jobs/:jobId/new', name: 'new-surface', component: () => import('./steps/newSurface/NewSurfaceView.vue'), props: true },
    { path: '/jobs/:jobId/order', name: 'order', component: () => import('./steps/order/OrderView.vue'), props: true },
    { path: '/jobs/:jobId/site', name: 'site', component: () => import('./steps/site/SiteView.vue'), props: true },
    { path: '/jobs/:jobId/log', name: 'log', component: () => import('./steps/log/LogView.vue'), props: true },
    { path: '/jobs/:jobId/days', name: 'programme', component: () => import('./steps/programme/ProgrammeView.vue'), props: true },
    {
      path: '/jobs/:jobId/surfaces/:surfaceId/:step(measure|tile|setout|cuts)',
      name: 'surface',
      component: () => import('./steps/SurfaceView.vue'),
      props: true,
    },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
});

// Back closes what lies over the page, and the page stays; what is half typed is taken first, either way.
router.beforeEach(() => {
  leaveField();
  if (!isTravelling || !document.querySelector('.p-dialog')) return true;
  isTravelling = false;
  document.dispatchEvent(new KeyboardEvent('keydown', { code: 'Escape', key: 'Escape' }));
  return false;
});
