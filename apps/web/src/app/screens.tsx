import { Suspense } from 'react';
import { Route, Routes } from 'react-router';
import { BenchPage } from '../features/bench/bench-page.tsx';
import { Notices } from '../ui/notices.tsx';
import { Nowhere } from './broken.tsx';
import { Latest } from './latest.tsx';
import { OpenComparison } from './open-comparison.tsx';
import { Opening } from './opening.tsx';
import { Shell } from './shell.tsx';
import { ViewFocus } from './view-focus.tsx';
import { later } from '../ui/later.ts';

const MethodsPage = later(async () => ({
  default: (await import('../features/methods/methods-page.tsx')).MethodsPage,
}));
const ComparisonsPage = later(async () => ({
  default: (await import('../features/comparisons/comparisons-page.tsx')).ComparisonsPage,
}));
const NewPage = later(async () => ({
  default: (await import('../features/new/new-page.tsx')).NewPage,
}));
const WhyPage = later(async () => ({
  default: (await import('../features/why/why-page.tsx')).WhyPage,
}));
const ChecksPage = later(async () => ({
  default: (await import('../features/checks/checks-page.tsx')).ChecksPage,
}));
const SlipsPage = later(async () => ({
  default: (await import('../features/slips/slips-page.tsx')).SlipsPage,
}));
const PresentPage = later(async () => ({
  default: (await import('../features/present/present-page.tsx')).PresentPage,
}));
const PrintPage = later(async () => ({
  default: (await import('../features/print/print-page.tsx')).PrintPage,
}));

/** The screens that do not come with the first load, by how their addresses end. */
const BROUGHT = [
  [/^\/methods$/, MethodsPage],
  [/^\/comparisons$/, ComparisonsPage],
  [/^\/new$/, NewPage],
  [/\/why$/, WhyPage],
  [/\/checks$/, ChecksPage],
  [/\/slips(\/alone)?$/, SlipsPage],
  [/\/present$/, PresentPage],
  [/\/print$/, PrintPage],
] as const;

/** Brings the screen of an address before it is shown; what cannot be brought is asked for again, and said, when it is. */
export async function bringScreen(path: string): Promise<void> {
  const [, screen] = BROUGHT.find(([end]) => end.test(path)) ?? [];
  await screen?.bring().catch(() => undefined);
}

/** Every address of the application. The bench comes with the first load, other screens in a quiet moment after it. */
export function Screens() {
  return (
    <Suspense fallback={<Opening />}>
      <Routes>
        <Route element={<Shell />}>
          <Route path="/" element={<Latest />} />
          <Route path="/methods" element={<MethodsPage />} />
          <Route path="/new" element={<NewPage />} />
          <Route path="/comparisons" element={<ComparisonsPage />} />
          <Route path="/c/:id" element={<OpenComparison />}>
            <Route index element={<BenchPage />} />
            <Route path="why" element={<WhyPage />} />
            <Route path="checks" element={<ChecksPage />} />
            <Route path="slips" element={<SlipsPage />} />
          </Route>
          <Route path="*" element={<Nowhere />} />
        </Route>
        <Route path="/c/:id" element={<OpenComparison />}>
          <Route path="present" element={<PresentPage />} />
          <Route path="slips/alone" element={<SlipsPage alone />} />
          <Route path="print" element={<PrintPage />} />
        </Route>
      </Routes>
      <Notices />
      <ViewFocus />
    </Suspense>
  );
}
