import { useEffect, useState } from 'react';
import { away } from '../away/away.ts';
import type { TypedAnswer } from '../away/typed-job.ts';

/** What is said of a line while it is typed: judged away from the page, so that typing never waits. Null until it is known. */
export function useTyped(
  problem: string,
  before: readonly string[],
  text: string,
): TypedAnswer | null {
  const [answer, setAnswer] = useState<{ readonly of: string; readonly said: TypedAnswer } | null>(
    null,
  );
  const key = JSON.stringify([problem, before, text]);
  useEffect(() => {
    let isAsked = true;
    const [asked, lines, typed] = JSON.parse(key) as [string, string[], string];
    void away('judgeTyped', asked, lines, typed).then((said) => {
      if (isAsked) setAnswer({ of: key, said });
    });
    return () => {
      isAsked = false;
    };
  }, [key]);
  return answer?.of === key ? answer.said : null;
}
