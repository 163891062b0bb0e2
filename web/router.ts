import { createRouter, createWebHistory } from 'vue-router';
import JobListView from './steps/jobs/JobListView.vue';

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
