<script setup lang="ts">
import Dialog from 'primevue/dialog';
import { KEY_GROUPS } from './keys.ts';

defineProps<{ visible: boolean }>();
const emit = defineEmits<{ close: [] }>();
</script>

<template>
  <Dialog :visible="visible" modal dismissable-mask header="Keys" @update:visible="emit('close')">
    <section v-for="group in KEY_GROUPS" :key="group.where" class="group">
      <h3>{{ group.where }}</h3>
      <dl>
        <template v-for="line in group.lines" :key="line.keys">
          <dt>
            <kbd>{{ line.keys }}</kbd>
          </dt>
          <dd>{{ line.does }}</dd>
        </template>
      </dl>
    </section>
  </Dialog>
</template>

<style scoped>
.group + .group {
  margin-top: 1rem;
}
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 0.35rem 1rem;
  margin: 0.4rem 0 0;
}
dd {
  margin: 0;
  max-width: 26rem;
}
kbd {
  font: 600 0.9rem var(--figure);
  background: var(--tape);
  color: var(--tape-ink);
  padding: 0.1rem 0.45rem;
  border-radius: 2px;
  white-space: nowrap;
}
</style>
