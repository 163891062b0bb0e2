<script setup lang="ts">
import Dialog from 'primevue/dialog';
import { computed } from 'vue';
import { LANGUAGE_NAMES, LANGUAGES, type Language } from '@azulejo/core/messages/language';
import SwitchField from '../fields/SwitchField.vue';
import { useTheme } from '../theme/useTheme.ts';
import { browserLanguage, chosenLanguage } from '../words/language.ts';

/** What belongs to this browser, whatever job is open. */
defineProps<{ visible: boolean }>();
const emit = defineEmits<{ close: [] }>();
const { isDark } = useTheme();

type Choice = Language | 'browser';
const languages = computed<{ value: Choice; label: string }[]>(() => [
  { value: 'browser', label: `As the browser: ${LANGUAGE_NAMES[browserLanguage.value]}` },
  ...LANGUAGES.map((value) => ({ value, label: LANGUAGE_NAMES[value] })),
]);
const LOOKS = [
  { value: 'light', label: 'Light' },
  { value: 'dark', label: 'Dark' },
] as const;
</script>

<template>
  <Dialog :visible="visible" modal dismissable-mask header="Settings of this browser" @update:visible="emit('close')">
    <div class="stack">
      <SwitchField
        label="Language on site, in the list of cuts and on papers"
        :value="chosenLanguage ?? 'browser'"
        :options="languages"
        @choose="chosenLanguage = $event === 'browser' ? null : $event"
      />
      <SwitchField label="Look" :value="isDark ? 'dark' : 'light'" :options="LOOKS" @choose="isDark = $event === 'dark'" />
    </div>
  </Dialog>
</template>
