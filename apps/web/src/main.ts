/**
 * Brings the page in parts, each in a task of its own, so that the browser is never busy for long: the packages, what computes, and
 * the screens. All of them are on their way from the start.
 */
async function begin(): Promise<void> {
  const [page, core] = [() => import('./app/start.tsx'), () => import('./app/core-ready.ts')];
  await import('./app/packages.ts');
  await nextTask();
  await core();
  await nextTask();
  await page();
}

function nextTask(): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, 0));
}

void begin();
