import { decodeVocabulary, DEFAULT_VOCABULARY, type Vocabulary, type Voice } from '@levee/core';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { browserStore } from './browser-store.ts';

export interface Settings {
  readonly voice: Voice;
  readonly words: Vocabulary;
  /** Arrows, side notes and other marks that are no part of the paper itself. */
  readonly notes: boolean;
  /** The notches that tell a figure's place. */
  readonly notches: boolean;
  readonly theme: 'system' | 'light' | 'dark';
  /** Whether single letters are shortcuts. */
  readonly letterKeys: boolean;
  /** Whether every line of own lines is expected to use one law: a leap then says its moves without being asked. */
  readonly oneLaw: boolean;
  /** Whether the costs of a paper stay in sight below it; else they are told when they are asked for. */
  readonly costs: boolean;
}

const DEFAULTS: Settings = {
  voice: 'value',
  words: { ...DEFAULT_VOCABULARY, group: 'thin space' },
  notes: true,
  notches: true,
  theme: 'system',
  letterKeys: true,
  oneLaw: false,
  costs: false,
};

/** What holds for every comparison on this device; kept in the browser. */
export const useSettings = create<Settings>()(
  persist(() => DEFAULTS, {
    name: 'levee.settings',
    storage: createJSONStorage(() => ({
      getItem: browserStore.get,
      setItem: (name, text) => void browserStore.set(name, text),
      removeItem: browserStore.remove,
    })),
    version: 1,
    merge: (kept, current) => decodeSettings(kept, current),
  }),
);

/** Takes what is known out of anything that was kept. */
export function decodeSettings(kept: unknown, current: Settings): Settings {
  const found = (typeof kept === 'object' && kept !== null ? kept : {}) as Partial<Settings>;
  const flag = (key: 'notes' | 'notches' | 'letterKeys' | 'oneLaw' | 'costs') =>
    typeof found[key] === 'boolean' ? found[key] : current[key];
  return {
    voice: found.voice === 'digit' || found.voice === 'value' ? found.voice : current.voice,
    words: decodeVocabulary({ ...DEFAULTS.words, ...(found.words as object | undefined) }),
    notes: flag('notes'),
    notches: flag('notches'),
    theme: found.theme === 'light' || found.theme === 'dark' ? found.theme : 'system',
    letterKeys: flag('letterKeys'),
    oneLaw: flag('oneLaw'),
    costs: flag('costs'),
  };
}
