import { appendFileSync } from 'node:fs';
import { Random } from '../classroom/random.ts';
import { linesDocument } from '../formats/lines-document.ts';
import { Dice } from '../testing/rewritings.ts';
import { ordinaryInput } from '../testing/ordinary-input.ts';
import { readAsked } from './asked.ts';
import { judgeLines } from './paper.ts';

const RUNS = Number(process.env.LEVEE_FUZZ ?? 400);
const SEED = Number(process.env.LEVEE_FUZZ_SEED ?? 1);

function judged(problem: string, lines: readonly string[]): string | null {
  const read = readAsked(problem);
  return read.ok ? JSON.stringify(linesDocument(judgeLines(read.asked, lines))) : null;
}

test('x', () => {
  const seen = new Map<string, number>();
  let refused = 0;
  const slow: [number, string][] = [];
  for (let k = 0; k < RUNS; k++) {
    const { problem, lines } = ordinaryInput(new Dice(new Random(SEED * 1000003 + k)));
    const where = JSON.stringify({ problem, lines });
    const t = performance.now();
    let made: string | null = null;
    try {
      made = judged(problem, lines);
      if (made === null) { refused++; continue; }
      if (judged(problem, lines) !== made) throw new Error('differs');
      if (judged(problem, lines) !== made) throw new Error('differs3');
    } catch (e) {
      const stack = (e as Error).stack!.split('\n').filter((s) => s.includes('/src/')).slice(0, 3).map((s) => s.replace(/.*src\//, '').replace(/:\d+\)?$/, '')).join(' < ');
      const key = (e as Error).message.replace(/\d+/g, 'N').slice(0, 80) + ' @ ' + stack;
      const n = seen.get(key) ?? 0;
      seen.set(key, n + 1);
      if (n < 2) appendFileSync('/tmp/w/fuzz.txt', `${key}\n   ${where}\n`);
    }
    slow.push([performance.now() - t, where]);
  }
  slow.sort((a, b) => b[0] - a[0]);
  appendFileSync('/tmp/w/fuzz.txt', `refused ${refused} of ${RUNS}\n` + slow.slice(0, 12).map(([a, b]) => `${a.toFixed(0)} ms ${b.slice(0, 400)}`).join('\n') + '\n' + [...seen].map(([a, b]) => `${b} ${a}`).join('\n') + '\n');
}, 3000000);
