import { createBrowserRouter } from 'react-router';
import { BenchPage } from '../features/bench/bench-page.tsx';
import { ChecksPage } from '../features/checks/checks-page.tsx';
import { ComparisonsPage } from '../features/comparisons/comparisons-page.tsx';
import { MethodsPage } from '../features/methods/methods-page.tsx';
import { PresentPage } from '../features/present/present-page.tsx';
import { PrintPage } from '../features/print/print-page.tsx';
import { WhyPage } from '../features/why/why-page.tsx';
import { Broken, Nowhere } from './broken.tsx';
import { Latest } from './latest.tsx';
import { OpenComparison } from './open-comparison.tsx';
import { Shell } from './shell.tsx';

/** Every address of the application. */
export const router = createBrowserRouter([
  {
    errorElement: <Broken />,
    children: [
      {
        element: <Shell />,
        children: [
          { path: '/', element: <Latest /> },
          { path: '/methods', element: <MethodsPage /> },
          { path: '/comparisons', element: <ComparisonsPage /> },
          {
            path: '/c/:id',
            element: <OpenComparison />,
            children: [
              { index: true, element: <BenchPage /> },
              { path: 'why', element: <WhyPage /> },
              { path: 'checks', element: <ChecksPage /> },
            ],
          },
          { path: '*', element: <Nowhere /> },
        ],
      },
      {
        path: '/c/:id',
        element: <OpenComparison />,
        children: [
          { path: 'present', element: <PresentPage /> },
          { path: 'print', element: <PrintPage /> },
        ],
      },
    ],
  },
]);
