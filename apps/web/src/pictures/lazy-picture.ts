import { lazy } from 'react';

/** The shared picture; its parts are loaded when the first one is shown. */
export const SharedPicture = lazy(async () => ({
  default: (await import('./shared-picture.tsx')).SharedPicture,
}));
