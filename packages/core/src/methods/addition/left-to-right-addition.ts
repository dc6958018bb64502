import { slipOf } from '../../slips/catalogue.ts';
import { defineMethod } from '../method.ts';
import { acceptsSum } from '../shared/sums.ts';
import { chainPhrases, chainSheet, placePieces, workChain } from './chain.ts';

export const leftToRightAddition = defineMethod({
  id: 'left-to-right-addition',
  family: 'addition',
  name: 'Addition from the left',
  shortName: 'From the left',
  alsoCalled: ['adding on by places', 'front-end addition'],
  summary: 'The first addend stays whole; the others are added to it part by part, largest first.',
  why: 'An addend is the sum of its parts, and adding the parts one after another adds all of it.',
  medium: 'either',
  direction: 'from the largest place to the right',
  freeOrder: false,
  schools: [],
  slips: [
    {
      ...slipOf('part-as-ones'),
      mechanism: 'The tens of an addend are added as if they were ones: 5 for 50.',
    },
    slipOf('skip-part'),
  ],
  phrases: chainPhrases.book,
  accepts: acceptsSum(),
  work: (scribe, problem) => workChain(scribe, problem, placePieces),
  sheet: chainSheet,
});
