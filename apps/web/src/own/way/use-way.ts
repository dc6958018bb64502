import { isCounted, layOn, readAsked, withRule, type LetteredWay, type OwnWork } from '@levee/core';
import { useEffect, useState } from 'react';
import { away } from '../../away/away.ts';
import type { WayAnswer } from '../../away/way-job.ts';

/** What the dialog shows of a way and of the numbers that it is to be laid on. */
export interface WayView {
  /** Null until it is worked out. */
  readonly answer: WayAnswer | null;
  /** The way with the rules that were chosen. */
  readonly way: LetteredWay | null;
  readonly choose: (letter: string, rule: string) => void;
  /** Numbers that it fits; they come after the way. */
  readonly suggested: readonly string[];
}

/** The way of some lines, worked out away from the page while its dialog is open. */
export function useWay(isOpen: boolean, problem: string, own: OwnWork): WayView {
  const [answer, setAnswer] = useState<{ readonly of: string; readonly said: WayAnswer } | null>(
    null,
  );
  const [chosen, setChosen] = useState<LetteredWay | null>(null);
  const [suggested, setSuggested] = useState<readonly string[]>([]);
  const lines = own.lines.filter(isCounted).map(({ text }) => text);
  const key = JSON.stringify([problem, lines, own.name]);
  useEffect(() => {
    if (!isOpen) return;
    let isAsked = true;
    const [asked, typed, name] = JSON.parse(key) as [string, string[], string];
    void away('wayAnswer', asked, typed, name).then(async (said) => {
      if (!isAsked) return;
      setAnswer({ of: key, said });
      setChosen(said.ok ? said.way : null);
      setSuggested([]);
      const fitting = said.ok ? await away('waySuggested', asked, said.way) : [];
      if (isAsked) setSuggested(fitting);
    });
    return () => {
      isAsked = false;
    };
  }, [isOpen, key]);
  const said = answer?.of === key ? answer.said : null;
  const choose = (letter: string, rule: string) => {
    const read = readAsked(problem);
    if (chosen && read.ok) setChosen(withRule(chosen, letter, rule, read.asked));
  };
  return { answer: said, way: said ? chosen : null, choose, suggested };
}

/** The lines of a way on a computation as it is typed, or one sentence on what keeps it from there. */
export type There =
  | { readonly ok: true; readonly text: string; readonly lines: readonly string[] }
  | { readonly ok: false; readonly text: string; readonly says: string };

export function layThere(way: LetteredWay, typed: string): There | null {
  if (typed.trim() === '') return null;
  const read = readAsked(typed);
  if (!read.ok) return { ok: false, text: typed, says: read.reason };
  const laid = layOn(way, read.asked);
  const { text } = read.asked;
  return laid.ok ? { ok: true, text, lines: laid.lines } : { ok: false, text, says: laid.says };
}
