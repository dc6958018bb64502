import { ownLinesMethod } from '@levee/core';
import { judgeAtOnce } from '../worked/at-once.ts';

/** Own lines are judged when they are laid, so that what is tested stands there at once. */
judgeAtOnce(ownLinesMethod);
