import { ref } from 'vue';

/** Whether the server did not answer when it was last asked. */
export const isAway = ref(false);

/** Whether something between here and the server answered in its place the last time: it wants to know who asks. */
export const isSignedOut = ref(false);

/** Where one signs in: an address that the kept application leaves to the server, and that leads back here. */
export const signInUrl = (here: string): string => `/api/back?${new URLSearchParams({ to: here }).toString()}`;
