import { lazy, Suspense } from 'react';
import { Route, Routes } from 'react-router';
import { BenchPage } from '../features/bench/bench-page.tsx';
import { Notices } from '../ui/notices.tsx';
import { Nowhere } from './broken.tsx';
import { Latest } from './latest.tsx';
import { OpenComparison } from './open-comparison.tsx';
import { Opening } from './opening.tsx';
import { Shell } from './shell.tsx';
import { ViewFocus } from './view-focus.tsx';

const MethodsPage = lazy(async () => ({
  default: (await import('../features/methods/methods-page.tsx')).MethodsPage,
}));
const ComparisonsPage = lazy(async () => ({
  default: (await import('../features/comparisons/comparisons-page.tsx')).ComparisonsPage,
}));
const NewPage = lazy(async () => ({
  default: (await import('../features/new/new-page.tsx')).NewPage,
}));
const WhyPage = lazy(async () => ({
  default: (await import('../features/why/why-page.tsx')).WhyPage,
}));
const ChecksPage = lazy(async () => ({
  default: (await import('../features/checks/checks-page.tsx')).ChecksPage,
}));
const SlipsPage = lazy(async () => ({
  default: (await import('../features/slips/slips-page.tsx')).SlipsPage,
}));
const PresentPage = lazy(async () => ({
  default: (await import('../features/present/present-page.tsx')).PresentPage,
}));
const PrintPage = lazy(async () => ({
  default: (await import('../features/print/print-page.tsx')).PrintPage,
}));

/** Every address of the application. The bench comes with the first load, other screens when they are gone to. */
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
