import { bridgingAddition } from './bridging-addition.ts';
import { columnAddition } from './column-addition.ts';
import { compensationAddition } from './compensation-addition.ts';
import { leftToRightAddition } from './left-to-right-addition.ts';
import { partialSums } from './partial-sums.ts';
import { runningTotal } from './running-total.ts';
import { scratchAddition } from './scratch-addition.ts';

/** The methods for sums, in the order they are offered. */
export const addition = [
  columnAddition,
  partialSums,
  leftToRightAddition,
  bridgingAddition,
  compensationAddition,
  runningTotal,
  scratchAddition,
];
