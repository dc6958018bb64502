import '@fontsource-variable/figtree';
import '@fontsource-variable/literata';
import '@fontsource-variable/literata/wght-italic.css';
import { watchTraces } from '@levee/core';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { StrictMode, startTransition } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { Appearance } from './appearance.tsx';
import { openAhead } from './open-ahead.ts';
import { watchLeaving } from './leaving.ts';
import { Broken } from './broken.tsx';
import { bringScreen, Screens } from './screens.tsx';
import './tokens.css';
import './base.css';

/** The nonce that the page's own style sheets must carry; absent while developing. */
const nonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce;
const cache = createCache({ key: 'lv', prepend: true, ...(nonce ? { nonce } : {}) });

watchLeaving();
if (import.meta.env.DEV) watchTraces();

/** Draws the page in pieces, so that no task of it is long. */
function show(): void {
  const root = createRoot(document.getElementById('root')!);
  startTransition(() => root.render(<Page />));
}

function Page() {
  return (
    <StrictMode>
      <CacheProvider value={cache}>
        <Appearance>
          <Broken>
            <BrowserRouter>
              <Screens />
            </BrowserRouter>
          </Broken>
        </Appearance>
      </CacheProvider>
    </StrictMode>
  );
}

const { pathname } = window.location;
void Promise.all([openAhead(pathname), bringScreen(pathname)]).then(show, show);
