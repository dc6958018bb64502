import { loadTypesetter } from '../ui/typesetter.ts';

/** Mathematics is typeset from the first moment on, as on a page that is open for a while. */
await loadTypesetter();
