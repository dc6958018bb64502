import { slipOf } from '../../slips/catalogue.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralOf, numeralValue, type Numeral } from '../../exact/numeral.ts';
import { defineMethod, type HopVerdict } from '../method.ts';
import { acceptsSum, isPositive, remainder, upTo } from '../shared/sums.ts';
import { chainPhrases, chainSheet, placePieces, workChain, type Piece } from './chain.ts';

export const bridgingAddition = defineMethod({
  id: 'bridging-addition',
  family: 'addition',
  name: 'Bridging addition',
  shortName: 'Bridging',
  alsoCalled: ['making tens', 'adding through a round number'],
  summary:
    'As from the left, but a part that would pass a round number is split to land on it first.',
  why: 'A part may itself be split anywhere; splitting it so that a round number is reached makes both sums easy.',
  medium: 'either',
  direction: 'from the largest place to the right',
  freeOrder: false,
  schools: [],
  slips: [
    slipOf('whole-part-again'),
    {
      ...slipOf('part-as-ones'),
      mechanism: 'The tens of an addend are added as if they were ones: 5 for 50.',
    },
    slipOf('skip-part'),
  ],
  ownHops: {
    name: 'piece',
    hint: 'Type how much of the second addend to add next, such as 4.',
    most: 12,
    from: ({ operands }, hops) => numeralValue(operands[0]).plus(Exact.sum(hops)),
    judge: ({ operands }, hops) => judgePieces(operands.map(numeralValue), hops),
  },
  phrases: chainPhrases.book,
  accepts: acceptsSum(),
  work: (scribe, problem) => {
    const second = problem.operands[1];
    return workChain(scribe, problem, (addend, total) =>
      addend === second ? withOwn(addend, total, scribe.hops) : bridged(addend, total),
    );
  },
  sheet: chainSheet,
});

/** Her pieces of the second addend must be whole, more than nothing, and no more than is left. */
function judgePieces(worths: readonly Exact[], hops: readonly Exact[]): readonly HopVerdict[] {
  let left = worths[1]!;
  let total = worths[0]!;
  return hops.map((hop): HopVerdict => {
    if (!isPositive(hop)) return { ok: false, fault: `A piece must be more than nothing.` };
    if (hop.compare(left) > 0) {
      return { ok: false, fault: `Only ${left} of the second addend is left; ${hop} is too much.` };
    }
    left = left.minus(hop);
    total = total.plus(hop);
    return { ok: true, lands: total, left };
  });
}

function withOwn(addend: Numeral, total: Exact, hops: readonly Exact[]): readonly Piece[] {
  if (hops.length === 0) return bridged(addend, total);
  const done = Exact.sum(hops);
  const rest = numeralOf(numeralValue(addend).minus(done).numerator, addend.base);
  const own = hops.map((worth): Piece => ({ worth, place: undefined, why: 'own' }));
  return [...own, ...bridged(rest, total.plus(done))];
}

/**
 * The parts of an addend, largest first. A part is split when the total has nothing below its place
 * and the part would carry it past the next round number: 96 + 8 goes by 100.
 */
function bridged(addend: Numeral, start: Exact): readonly Piece[] {
  const { base } = addend;
  let total = start;
  return placePieces(addend).flatMap((part): readonly Piece[] => {
    const { worth, place = 0 } = part;
    const gap = upTo(total, base, place + 1);
    const clear = remainder(total, base, place).isZero;
    total = total.plus(worth);
    if (!clear || gap.isZero || gap.compare(worth) >= 0) return [part];
    return [
      { worth: gap, place, why: 'to round' },
      { worth: worth.minus(gap), place, why: 'rest' },
    ];
  });
}
