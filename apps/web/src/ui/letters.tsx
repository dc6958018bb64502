import { substitutionOf, type Problem } from '@levee/core';
import { createContext, useContext, useMemo, type ReactNode } from 'react';

const Letters = createContext('');

/** Inside it, the letters of a problem stand for numbers and are set as such in every sentence. */
export function LettersOf(props: { readonly problem: Problem; readonly children: ReactNode }) {
  const letters = useMemo(
    () => [...substitutionOf(props.problem).keys()].join(''),
    [props.problem],
  );
  return <Letters.Provider value={letters}>{props.children}</Letters.Provider>;
}

/** The letters that stand for numbers here; empty where there are none. */
export function useLetters(): string {
  return useContext(Letters);
}
