import { later } from '../ui/later.ts';

/** The shared picture; its parts are loaded when the first one is shown. */
export const SharedPicture = later(async () => ({
  default: (await import('./shared-picture.tsx')).SharedPicture,
}));
