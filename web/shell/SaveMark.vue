<script setup lang="ts">
import { computed, ref } from 'vue';
import { PhCheck, PhCircleNotch, PhCloudSlash, PhWarning } from '@phosphor-icons/vue';
import { isAway } from '../api/reach.ts';
import NotSavedDialog from './NotSavedDialog.vue';
import { useSaveState } from './useSaveState.ts';

/** Whether what is on screen is saved; on the list of jobs, whether anything of any job is not. */
const props = defineProps<{ ofJob: boolean }>();
const { state, words, refused, left } = useSaveState();
const isOpen = ref(false);
const held = computed(() => refused.value + left.value.length);
const leftWords = computed(() => (props.ofJob ? words.value : `${left.value.reduce((sum, { count }) => sum + count, 0)} not sent`));
/** Wherever something lies that needs a person. */
const needsSomebody = computed(() => (props.ofJob ? held.value > 0 : left.value.length > 0));
const shown = computed(() => (props.ofJob ? state.value : 'parked'));
</script>

<template>
  <span v-if="ofJob || needsSomebody" class="save" :class="shown" role="status" data-testid="save-state">
    <PhCloudSlash v-if="isAway && (shown === 'saved' || shown === 'unsaved')" :size="16" weight="bold" />
    <PhCheck v-else-if="shown === 'saved'" :size="16" weight="bold" />
    <PhCircleNotch v-else-if="shown === 'saving'" :size="16" />
    <PhWarning v-else :size="16" weight="bold" />
    <button v-if="needsSomebody" type="button" class="plain look" @click="isOpen = true">
      {{ shown === 'saved' ? 'Not all saved' : leftWords }}
    </button>
    <template v-else>{{ words }}</template>
  </span>
  <NotSavedDialog :visible="isOpen && held > 0" @close="isOpen = false" />
</template>

<style scoped>
.save {
  display: inline-flex;
  align-items: center;
  gap: 0.3rem;
  font-size: 0.875rem;
  color: var(--ink-soft);
  padding: 0 0.5rem;
  white-space: nowrap;
}
.save.unsaved,
.save.parked,
.save.gone,
.save.conflict {
  color: var(--bad);
  font-weight: 600;
}
.look {
  text-decoration: underline;
  color: var(--bad);
  font-weight: 600;
  min-height: 44px;
  display: inline-flex;
  align-items: center;
}
</style>
