/** How long is measured: the least milliseconds of a sample, and how many samples are taken. */
export const WHOLE = { sample: 20, samples: 7, share: 1 };
/** Everything once and small, to see that it can be measured at all; its figures say nothing. */
export const BRIEF = { sample: 0, samples: 1, share: 0.05 };

/**
 * How many times as long the first takes as the second: medians of samples taken in turn. A sample
 * runs its body until it has taken as long as one of the other, so that both pay for their garbage.
 */
export function ratio(first, second, { sample, samples }) {
  const longest = Math.max(sample, timeOf(first, 1), timeOf(second, 1));
  const bodies = [first, second].map((body) => ({
    body,
    runs: sample === 0 ? 1 : runsFor(body, longest),
    times: [],
  }));
  for (let round = 0; round < samples; round++) {
    for (const { body, runs, times } of bodies) times.push(timeOf(body, runs) / runs);
  }
  const [a, b] = bodies.map(({ times }) => median(times));
  return a / b;
}

/** The middle of some figures. */
export function median(times) {
  return [...times].sort((a, b) => a - b)[times.length >> 1];
}

/** How many runs make a sample, found after warming up. */
function runsFor(body, least) {
  let runs = 1;
  while (timeOf(body, runs) < least * 0.7) runs *= 2;
  return runs;
}

/** Milliseconds of so many runs. */
export function timeOf(body, runs = 1) {
  const start = performance.now();
  for (let run = 0; run < runs; run++) body();
  return performance.now() - start;
}

/** How many of something are taken in one round: at least one. */
export function some(count, { share }) {
  return Math.max(1, Math.round(count * share));
}

/** `half under 2.1 ms, 95 in 100 under 9.0 ms`. */
export function spread(times, figures = 1) {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (part) => sorted[Math.floor(sorted.length * part)].toFixed(figures);
  return `half under ${at(0.5)} ms, 95 in 100 under ${at(0.95)} ms`;
}
