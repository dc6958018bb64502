import { isOwnLines } from '@levee/core';
import { Sentence } from '../paper/sentence.tsx';
import type { Paper } from '../worked/work.ts';
import { OwnSentence } from './own-sentence.tsx';

/** What is said of a paper as far as it is: of its last step, or of a line of own lines. */
export function AnySentence(props: {
  readonly paper: Paper;
  readonly step: number;
  readonly foretells?: boolean;
  /** Whether it is shown to a class, where nothing is chosen or typed. */
  readonly inRoom?: boolean;
}) {
  const { paper, step, inRoom = false } = props;
  return isOwnLines(paper.method) ? (
    <OwnSentence paper={paper} method={paper.method} step={step} inRoom={inRoom} />
  ) : (
    <Sentence {...props} />
  );
}
