import {
  choicesOf,
  compare,
  ownLinesMethod,
  readComputation,
  registry,
  type PaperWork,
} from '@levee/core';
import { certify, type Certified } from '../certificate/certify.ts';
import { diagnoseAnswers, diagnoseSheets } from './answers-job.ts';
import { classRuns } from './class-job.ts';
import { habitItems } from './habit-job.ts';
import { judgeLines } from './lines-job.ts';
import { slipAnswers } from './slip-answers-job.ts';
import { slipSaid } from './slip-job.ts';
import { judgeTyped } from './typed-job.ts';
import { wayAnswer, wayFromFile, waysInvited, waysThere, waySuggested } from './way-job.ts';
import { readImport } from './read-import.ts';

/** What is worked out away from the page. Plain data in, plain data out. */
export const jobs = {
  /** The certificate of a comparison. Throws `RangeError` for a text that is no problem. */
  certificate(problem: string, papers: readonly PaperWork[]): Certified {
    const read = readComputation(problem);
    if (!read.ok) throw new RangeError(`certificate: "${problem}" is not a problem`);
    return certify(compare(read.problem, choicesOf(papers, registry, ownLinesMethod)));
  },

  readImport,
  classRuns,
  diagnoseAnswers,
  diagnoseSheets,
  habitItems,
  judgeLines,
  judgeTyped,
  slipAnswers,
  slipSaid,
  wayAnswer,
  wayFromFile,
  waySuggested,
  waysInvited,
  waysThere,
};

export type Jobs = typeof jobs;
