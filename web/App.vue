<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import Toast from 'primevue/toast';
import { useToast } from 'primevue/usetoast';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import ConflictDialog from './shell/ConflictDialog.vue';
import { isTyping } from './shell/isTyping.ts';
import KeyHelp from './shell/KeyHelp.vue';
import TopBar from './shell/TopBar.vue';
import { useJobStore } from './stores/jobStore.ts';

const jobs = useJobStore();
const route = useRoute();
const toast = useToast();
const helpIsOpen = ref(false);
const jobId = computed(() => (typeof route.params['jobId'] === 'string' ? route.params['jobId'] : undefined));

watch(
  () => jobs.news,
  (news) => {
    if (news === null) return;
    toast.add({ severity: 'info', summary: news, life: 5000 });
    jobs.news = null;
  },
);

useEventListener('keydown', (event: KeyboardEvent) => {
  const key = event.key.toLowerCase();
  if ((event.ctrlKey || event.metaKey) && key === 'z' && !isTyping(event)) {
    event.preventDefault();
    void (event.shiftKey ? jobs.redo() : jobs.undo());
  } else if (event.key === '?' && !isTyping(event)) helpIsOpen.value = true;
});
useEventListener('beforeunload', (event: BeforeUnloadEvent) => {
  if (jobs.job && jobs.saveState !== 'saved') event.preventDefault();
});
useEventListener('focus', () => {
  if (jobs.job && jobs.saveState === 'saved') void jobs.follow(jobs.job.id).catch(() => undefined);
});
</script>

<template>
  <div class="app">
    <TopBar :job-id="jobId" @help="helpIsOpen = true" />
    <p v-if="jobs.trouble && jobId" class="trouble" role="alert">{{ jobs.trouble }} What you change stays here and is sent again.</p>
    <RouterView v-slot="{ Component }"><component :is="Component" :key="jobId ?? 'jobs'" class="view" /></RouterView>
    <ConflictDialog />
    <KeyHelp :visible="helpIsOpen" @close="helpIsOpen = false" />
    <Toast position="bottom-left" />
  </div>
</template>

<style scoped>
.app {
  height: 100dvh;
  display: flex;
  flex-direction: column;
}
.view {
  flex: 1;
  min-height: 0;
}
.trouble {
  background: var(--bad-soft);
  color: var(--bad);
  padding: 0.5rem 1rem;
  font-weight: 600;
}
</style>
