import { edgeBars } from './edgeBars.ts';

/** Edge profiles, m, in bars. */
export const edgeProfile = edgeBars('profile', [{ size: 2.5, price: 13.9 }]);
