<script setup lang="ts">
import { useEventListener, useIntervalFn, useSessionStorage } from '@vueuse/core';
import Toast from 'primevue/toast';
import { useToast } from 'primevue/usetoast';
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import ConflictDialog from './shell/ConflictDialog.vue';
import GoneNotice from './shell/GoneNotice.vue';
import { isTyping } from './shell/isTyping.ts';
import KeyHelp from './shell/KeyHelp.vue';
import SettingsDialog from './shell/SettingsDialog.vue';
import TopBar from './shell/TopBar.vue';
import { isAway, isSignedOut, signInUrl } from './api/reach.ts';
import { useSaveState } from './shell/useSaveState.ts';
import { useJobStore } from './stores/jobStore.ts';
import { useLogStore } from './stores/logStore.ts';
import { useTickStore } from './stores/tickStore.ts';

const LEFT_AGAIN_MS = 30_000;
const OTHERS_MS = 8000;

const jobs = useJobStore();
const route = useRoute();
const toast = useToast();
const helpIsOpen = ref(false);
const settingsAreOpen = ref(false);
const jobId = computed(() => (typeof route.params['jobId'] === 'string' ? route.params['jobId'] : undefined));

watch(
  () => jobs.news,
  (news) => {
    if (news === null) return;
    toast.removeAllGroups();
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
const { state } = useSaveState();
const [ticks, log] = [useTickStore(), useLogStore()];
/** Every page sends what waits, of every job: when it opens, when the server is back, and now and then while something is left. */
function sendAllLeft(): void {
  void jobs.sendLeft();
  void ticks.sendOthers();
  void log.sendOthers();
}
onMounted(sendAllLeft);
watch([isAway, isSignedOut], ([away, signedOut]) => {
  if (!away && !signedOut) sendAllLeft();
});
useEventListener('online', sendAllLeft);
useIntervalFn(() => {
  if (jobs.left.length + ticks.others.length + log.others.length > 0) sendAllLeft();
}, LEFT_AGAIN_MS);
// What others do is seen while the page is, without a touch.
useIntervalFn(() => {
  if (jobId.value && document.visibilityState === 'visible') void jobs.watchOthers();
}, OTHERS_MS);
/** A browser keeps offline only what came encrypted, or from this machine. */
const isPlain = !window.isSecureContext;
const plainIsRead = useSessionStorage('azulejo-plain-read', false);

useEventListener('beforeunload', (event: BeforeUnloadEvent) => {
  // What waits is kept in the browser and sent by the next page that is open; a conflict waits for the person.
  if (jobs.unsavedJobs().length > 0) event.preventDefault();
});
/** A part of the page that is no longer on the server: it was updated meanwhile. */
const isOutdated = ref(false);
useEventListener('vite:preloadError' as 'error', () => {
  isOutdated.value = true;
});
const reload = (): void => window.location.reload();
useEventListener('focus', () => {
  if (jobs.job && jobs.saveState === 'saved') void jobs.follow(jobs.job.id).catch(() => undefined);
});
</script>

<template>
  <div class="app">
    <TopBar :job-id="jobId" @help="helpIsOpen = true" @settings="settingsAreOpen = true" />
    <p v-if="isSignedOut" class="trouble" role="alert">
      Not saved: you are asked to sign in again. What you change is kept here until then.
      <a :href="signInUrl(route.fullPath)">Sign in</a>
    </p>
    <p v-else-if="jobs.trouble && jobId" class="trouble" role="alert">{{ jobs.trouble }} What you change stays here and is sent again.</p>
    <p v-if="isPlain && !plainIsRead" class="plain" role="status">
      This page came over plain http. It is saved as you work, but the browser keeps nothing ready for a place without a network. Start
      Azulejo with <code>--tls</code> for that.
      <button type="button" class="reload" @click="plainIsRead = true">I have read it</button>
    </p>
    <GoneNotice v-if="jobId && jobs.job && state === 'gone'" />
    <p v-if="isOutdated" class="trouble" role="alert">
      Azulejo was updated since this page was opened. <button type="button" class="reload" @click="reload">Load it again</button>
    </p>
    <RouterView v-slot="{ Component }"><component :is="Component" :key="jobId ?? 'jobs'" class="view" /></RouterView>
    <ConflictDialog />
    <KeyHelp :visible="helpIsOpen" @close="helpIsOpen = false" />
    <SettingsDialog :visible="settingsAreOpen" @close="settingsAreOpen = false" />
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
.reload {
  font: inherit;
  color: inherit;
  text-decoration: underline;
  background: none;
  border: 0;
  padding: 0.3rem;
  cursor: pointer;
}
.plain {
  background: var(--panel);
  padding: 0.5rem 1rem;
  margin: 0;
}
.trouble a {
  color: inherit;
  padding: 0.3rem;
}
.trouble {
  background: var(--bad-soft);
  color: var(--bad);
  padding: 0.5rem 1rem;
  font-weight: 600;
}
</style>
