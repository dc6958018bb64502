import {
  MAX_PAPERS,
  registry,
  SLIP_IDEAS,
  type Exact,
  type Mark,
  type Method,
  type Speaker,
} from '@levee/core';
import { useNavigate } from 'react-router';
import { dispatch, useComparison } from '../../../store/comparison-store.ts';
import { laidBeside } from '../../../store/edits.ts';
import { paperOf } from '../../../store/content.ts';
import { MathText } from '../../../ui/math-text.tsx';
import { useSpeaker, useWorked } from '../../../worked/use-worked.ts';
import type { Paper } from '../../../worked/work.ts';
import type { Slipped } from './slipped.ts';

interface WhatHelpsProps {
  readonly paper: Paper;
  readonly slip: string;
  readonly slipped: Slipped;
}

/** Why it happens, what to point at, and on which papers it cannot happen. */
export function WhatHelps({ paper, slip, slipped }: WhatHelpsProps) {
  const say = useSpeaker();
  const go = useNavigate();
  const { problem } = useWorked();
  const laid = useComparison((state) => state.content.papers);
  const idea = SLIP_IDEAS.find(({ id }) => id === slip);
  const mechanism = paper.method.slips.find(({ id }) => id === slip)?.mechanism ?? idea?.mechanism;
  const others = methodsWithout(slip, paper.method, problem);
  const [first] = others;
  const lay = (method: Method) => {
    if (!laid.some((one) => one.method === method.id)) {
      dispatch(laidBeside(paperOf(method.id)));
    }
    void go('..', { relative: 'path' });
  };
  const canLay = laid.length < MAX_PAPERS || laid.some((one) => one.method === first?.id);
  return (
    <section className="what-helps" aria-label="Why it happens, what helps">
      <h2>Why it happens, what helps</h2>
      <p>
        <MathText
          text={[mechanism ?? '', idea ? `What is written: ${lowered(idea.written)}` : ''].join(
            ' ',
          )}
        />{' '}
        <MathText text={pointing(slipped, say)} />
      </p>
      {idea && others.length > 0 && first && (
        <p>
          It cannot happen by {say.list(others.slice(0, 4).map(({ name }) => name.toLowerCase()))}.{' '}
          {canLay && (
            <button type="button" className="link" onClick={() => lay(first)}>
              Lay {first.shortName.toLowerCase()} beside it
            </button>
          )}
        </p>
      )}
    </section>
  );
}

function lowered(text: string): string {
  return /^[A-Z][a-z ]/.test(text) ? text.charAt(0).toLowerCase() + text.slice(1) : text;
}

/** Methods that take the problem and have no chance of the slip. */
function methodsWithout(
  slip: string,
  own: Method,
  problem: Paper['lane']['trace']['problem'],
): readonly Method[] {
  return registry.methods.filter(
    (method) =>
      method !== own &&
      method.accepts(problem).ok &&
      !method.slips.some(({ id }) => id === slip) &&
      method.trace(problem).opportunities.every((chance) => chance.slip !== slip),
  );
}

/** The first false mark, what it is worth, and what was due in its step. */
function pointing({ right, wrong }: Slipped, say: Speaker): string {
  const [leak] = wrong.lane.leaks;
  const wrote = numberOf(wrong, leak?.step ?? 0);
  if (!leak || !wrote) return '';
  const side = leak.amount.isNegative ? 'short' : 'too much';
  const at = right.lane.trace.steps[leak.step - 1] ? ` in step ${leak.step}` : '';
  return `Point at what was written${at}: ${wrote.text} is worth ${say.worth(wrote.worth)}, which is ${say.worth(leak.amount.absolute())} ${side}.`;
}

function numberOf({ lane }: Paper, step: number): { text: string; worth: Exact } | null {
  const marks = lane.trace.steps[step - 1]?.gives.filter(isRead) ?? [];
  const [first] = [...marks].sort((a, b) => b.worth.compare(a.worth));
  return first ? { text: first.glyph, worth: first.worth } : null;
}

function isRead({ worth }: Mark): boolean {
  return worth.isConstant && !worth.isZero;
}
