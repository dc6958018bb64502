import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT, run } from '../project.mjs';

/** Runs measurements of a kind in headless Chromium: the files of `e2e` that are named for it. */
export const inBrowser =
  (name, about) =>
  ({ tell, isBrief }) => {
    tell(about);
    if (name === 'opening') process.env.LEVEE_EMPTY_PAGE = emptyPage();
    if (isBrief) process.env.LEVEE_BENCH = 'brief';
    const jest = ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js'];
    const which = [
      '--selectProjects',
      'bench',
      '--runInBand',
      '--testPathPatterns',
      `${name}.bench`,
    ];
    run(process.execPath, [...jest, ...which]);
  };

/** A page with React and nothing else, built as the application is; its folder. */
function emptyPage() {
  const folder = join(mkdtempSync(join(tmpdir(), 'levee-empty-')), 'site');
  const vite = join(ROOT, 'node_modules/vite/bin/vite.js');
  const page = join(ROOT, 'e2e/empty-page');
  run(process.execPath, [vite, 'build', page, '--outDir', folder, '--logLevel', 'error']);
  return folder;
}
