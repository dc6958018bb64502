import { sayPlain } from '@levee/core';
import { useState } from 'react';
import { dispatch } from '../store/comparison-store.ts';
import { stepped } from '../store/edits.ts';
import { Menu } from '../ui/menu.tsx';
import { useSpeaker, useVoice, useWorked } from '../worked/use-worked.ts';
import type { Paper } from '../worked/work.ts';

/** The steps that the last move of a paper passed over: those of its unit before the one that it ends with. */
function usePassed(paper: Paper, step: number) {
  const { stops } = useWorked().comparison;
  const from = stops.findLast((stop) => stop[paper.index]! < step)?.[paper.index] ?? 0;
  return step === 0 ? [] : paper.lane.trace.steps.slice(from, step - 1);
}

/** What was said in the steps that were passed over, for choosing one to go back to. */
export function SentencesBefore({ paper, step }: { readonly paper: Paper; readonly step: number }) {
  const passed = usePassed(paper, step);
  const say = useSpeaker();
  const voice = useVoice();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  if (passed.length === 0) return null;
  const { phrases, shortName } = paper.method;
  return (
    <>
      <button
        type="button"
        className="before"
        aria-label={`${passed.length} sentences of ${shortName} before this one`}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        +{passed.length}
      </button>
      <Menu
        anchor={anchor}
        close={() => setAnchor(null)}
        groups={() => [
          passed.map(({ number, phrase }) => ({
            id: String(number),
            label: `Step ${number}`,
            note: sayPlain(phrases, phrase, voice, say),
            run: () => dispatch(stepped({ [paper.id]: number })),
          })),
        ]}
      />
    </>
  );
}
