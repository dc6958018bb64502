import { setTimeout as wait } from 'node:timers/promises';

/** How long a request waits for a file that another program holds, in milliseconds. */
const PATIENCE = 3000;

/**
 * Does something with the data file, again and again while another program holds it. Between the tries
 * other requests are answered: the database itself never waits. The last try's error is thrown on.
 */
export async function patiently<T>(attempt: () => Promise<T>): Promise<T> {
  const end = performance.now() + PATIENCE;
  for (let pause = 10; ; pause = Math.min(2 * pause, 100)) {
    try {
      return await attempt();
    } catch (error) {
      if (!isBusy(error) || performance.now() > end) throw error;
    }
    await wait(pause);
  }
}

/** Whether SQLite says that another program holds the file. */
export function isBusy(thrown: unknown): boolean {
  const { driverError, code } = (thrown ?? {}) as {
    driverError?: { code?: unknown };
    code?: unknown;
  };
  return [driverError?.code, code].some(
    (known) => typeof known === 'string' && /^SQLITE_(BUSY|LOCKED)/.test(known),
  );
}
