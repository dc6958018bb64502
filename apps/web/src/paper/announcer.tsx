import { sayPlain } from '@levee/core';
import { useEffect, useRef, useState } from 'react';
import { useSpeaker, useSteps, useVoice, useWorked } from '../worked/use-worked.ts';

/** For those who listen: what each paper that moved has done, by its name, and what it owes and has marked now. */
export function Announcer() {
  const { papers } = useWorked();
  const steps = useSteps();
  const say = useSpeaker();
  const voice = useVoice();
  const heard = useRef(steps);
  const [text, setText] = useState('');
  useEffect(() => {
    const moved = papers.filter(({ index }) => steps[index] !== heard.current[index]);
    heard.current = steps;
    if (moved.length === 0) return;
    const told = moved.map(({ index, title, method, lane, levels }) => {
      const done = lane.trace.steps[steps[index]! - 1];
      const { owed, written, held } = levels[steps[index]!]!;
      const sentence = done
        ? sayPlain(method.phrases, done.phrase, voice, say)
        : 'at the beginning.';
      return `${title}: ${sentence} Owed ${say.worth(owed)}, marked ${say.worth(written.plus(held))}.`;
    });
    setText(told.join(' '));
  }, [papers, steps, say, voice]);
  return (
    <p className="heard" role="status">
      {text}
    </p>
  );
}
