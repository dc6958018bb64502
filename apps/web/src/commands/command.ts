import type { Pace } from '@levee/core';
import type { Worked } from '../worked/work.ts';
import type { Steps } from './transport.ts';

/** A screen that can be gone to. */
export type View =
  'bench' | 'why' | 'checks' | 'slips' | 'present' | 'print' | 'comparisons' | 'methods' | 'new';

/** What a command can see and move. */
export interface Scene {
  readonly worked: Worked;
  readonly steps: Steps;
  readonly pace: Pace;
  /** Goes to a view of the open comparison. */
  readonly go: (view: View) => void;
}

/** Something that can be done, by button, menu or key. One object both says whether it can be and does it. */
export interface Command {
  readonly id: string;
  readonly group: 'move' | 'point' | 'change' | 'show' | 'go';
  readonly label: string;
  /** Key names as KeyboardEvent.key gives them, modifiers first: `Shift+ArrowLeft`. */
  readonly keys: readonly string[];
  readonly can: (scene: Scene) => boolean;
  /** Why it cannot be done now, where that is not plain to see. */
  readonly whyNot?: (scene: Scene) => string | null;
  readonly run: (scene: Scene) => void;
}
