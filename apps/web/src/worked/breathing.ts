/** Milliseconds of work in one go: what follows waits for the next task of the page. */
const SLICE = 20;

/** Gives the page its turn whenever work has gone on for a while; asked between pieces of work that none needs at once. */
export function breathing(): () => Promise<void> {
  let since = performance.now();
  return async () => {
    if (performance.now() - since < SLICE) return;
    await nextTask();
    since = performance.now();
  };
}

/** Comes back in another task of the page, when what waits has had its turn. */
export function nextTask(): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, 0));
}
