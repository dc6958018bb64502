import { proxy, wrap, type Remote } from 'comlink';
import type { Jobs } from './jobs.ts';

interface Place {
  readonly jobs: Remote<Jobs>;
  /** Resolves when the worker cannot be used. */
  readonly broken: Promise<null>;
}

let place: Place | null = null;

function placeAway(): Place | null {
  if (!isAway()) return null;
  if (!place) {
    const worker = new Worker(new URL('./away.worker.ts', import.meta.url), { type: 'module' });
    const broken = new Promise<null>((resolve) => {
      worker.addEventListener('error', () => resolve(null));
    });
    place = { jobs: wrap<Jobs>(worker), broken };
  }
  return place;
}

/** Whether there is a place away from the page at all. */
export function isAway(): boolean {
  return typeof Worker !== 'undefined';
}

/**
 * Does a job in a worker, so that the page goes on answering; on the page itself where there is no worker or it
 * cannot be loaded. A function among what is given is called here, from there. Rejects with what the job throws.
 */
export async function away<K extends keyof Jobs>(
  job: K,
  ...args: Parameters<Jobs[K]>
): Promise<Awaited<ReturnType<Jobs[K]>>> {
  type Made = Awaited<ReturnType<Jobs[K]>>;
  const here = async (): Promise<Made> => {
    const { jobs } = await import('./jobs.ts');
    return (jobs[job] as unknown as (...given: unknown[]) => Made | Promise<Made>)(...args);
  };
  const there = placeAway();
  if (!there) return here();
  const ask = there.jobs[job] as unknown as (...given: unknown[]) => Promise<Made>;
  const given = args.map((one: unknown) =>
    typeof one === 'function' ? proxy(one as () => unknown) : one,
  );
  const answer = await Promise.race([ask(...given), there.broken]);
  return answer ?? here();
}
