import { lazy } from 'react';

/** Brings the shared picture, so that it is there when it is shown. */
export const bringPicture = () => import('./shared-picture.tsx');

/** The shared picture; its parts are loaded when the first one is shown. */
export const SharedPicture = lazy(async () => ({
  default: (await bringPicture()).SharedPicture,
}));
