import { ref } from 'vue';

/** Whether the server did not answer when it was last asked. */
export const isAway = ref(false);
