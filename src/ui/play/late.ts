import { loadLate } from '../base';

/** Files of what is here; no first view waits for it. */
export const FilesPop = loadLate(() => import('./files-pop').then((file) => file.FilesPop));

/** By how much sound comes late; no first view waits for it. */
export const TapDelay = loadLate(() => import('./tap-delay').then((file) => file.TapDelay));
