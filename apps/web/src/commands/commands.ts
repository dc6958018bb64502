import { canSwap, MAX_PAPERS, type Problem } from '@levee/core';
import { dispatch, history, useComparison } from '../store/comparison-store.ts';
import {
  otherReading,
  withAnotherPaper,
  withOtherReading,
  withSwappedOperands,
} from '../store/content.ts';
import { changed } from '../store/edits.ts';
import { showLarge, toggleFrame, useSession, whyNoFrame } from '../store/session-store.ts';
import { useSettings } from '../store/settings-store.ts';
import { fittedSteps, tooLong, work, type Worked } from '../worked/work.ts';
import type { Command, Scene } from './command.ts';
import {
  choosable,
  hopTaker,
  move,
  paced,
  pointBeside,
  SINGLE,
  typedPaper,
  typeOwnLines,
  workNext,
  activeOf,
} from './moves.ts';
import { ZOOM } from './zoom.ts';
import { byAmount, byStep, toEnd, toStart } from './transport.ts';

export type { Command, Scene, View } from './command.ts';

const always = () => true;

/** The other reading of the problem, where the bench can show it. */
function readingOf({ problem }: Worked): Problem | null {
  const other = otherReading(problem);
  return other && tooLong(other) === null ? other : null;
}

const toggle = (key: 'notes' | 'notches') => () =>
  useSettings.setState((settings) => ({ [key]: !settings[key] }));

export const COMMANDS: readonly Command[] = [
  move('next', 'Next, at the chosen pace', ['Enter'], (scene) => paced(scene, 1)),
  move('back', 'Back, at the chosen pace', ['Shift+Enter'], (scene) => paced(scene, -1)),
  move('amount', 'On to the next common amount', [' '], ({ worked, steps }) =>
    byAmount(worked, steps, 1),
  ),
  move('amount-back', 'Back to the common amount before', ['Shift+ '], ({ worked, steps }) =>
    byAmount(worked, steps, -1),
  ),
  move('step', 'One step on every paper', ['ArrowRight'], ({ worked, steps }) =>
    byStep(worked, steps, 1),
  ),
  move('step-back', 'One step back on every paper', ['ArrowLeft'], ({ worked, steps }) =>
    byStep(worked, steps, -1),
  ),
  move('start', 'To the start', ['Home'], ({ steps }) => toStart(steps)),
  move('end', 'To the end', ['End'], ({ worked }) => toEnd(worked)),
  ...SINGLE,
  ...ZOOM,
  {
    id: 'play',
    group: 'move',
    label: 'Play and pause',
    keys: ['p'],
    can: always,
    run: () => useSession.setState(({ playing }) => ({ playing: !playing })),
  },
  {
    id: 'mark-next',
    group: 'point',
    label: 'Point at the next mark of the active paper',
    keys: [']'],
    can: always,
    run: pointBeside(1),
  },
  {
    id: 'mark-before',
    group: 'point',
    label: 'Point at the mark before',
    keys: ['['],
    can: always,
    run: pointBeside(-1),
  },
  {
    id: 'paper-next',
    group: 'point',
    label: 'Make the next paper the active one',
    keys: ['.'],
    can: ({ worked }) => worked.papers.length > 1,
    run: (scene) => {
      const { papers } = scene.worked;
      const { id } = papers[(activeOf(scene).index + 1) % papers.length]!;
      useSession.setState({ active: id });
    },
  },
  {
    id: 'let-go',
    group: 'point',
    label: 'Stop pointing; close what is open',
    keys: ['Escape'],
    can: always,
    run: () => {
      if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
      useSession.setState({
        pointed: null,
        pinned: false,
        large: null,
        playing: false,
        choosing: null,
      });
    },
  },
  {
    id: 'frame',
    group: 'point',
    label: 'Frame the amount that is pointed at, or take its frame away',
    keys: ['i'],
    can: () => whyNoFrame() === null,
    whyNot: whyNoFrame,
    run: () => {
      const { pointed } = useSession.getState();
      if (pointed) toggleFrame(pointed);
    },
  },
  {
    id: 'work-next',
    group: 'change',
    label: 'Work the owed amount that is pointed at next',
    keys: ['w'],
    can: (scene) => choosable(scene) !== null,
    run: workNext,
  },
  {
    id: 'own-lines',
    group: 'change',
    label: 'Type on the active paper of own lines; lay one where there is none',
    keys: ['e'],
    can: (scene) => typedPaper(scene) !== null || scene.worked.papers.length < MAX_PAPERS,
    run: typeOwnLines,
  },
  {
    id: 'problem',
    group: 'change',
    label: 'Type another computation',
    keys: ['c'],
    can: always,
    run: () => document.querySelector<HTMLInputElement>('[data-problem-field]')?.select(),
  },
  {
    id: 'estimate',
    group: 'change',
    label: 'Record an estimate',
    keys: ['g'],
    can: always,
    run: () => useSession.setState({ dialog: 'estimate' }),
  },
  {
    id: 'swap',
    group: 'change',
    label: 'Swap the factors or addends',
    keys: ['x'],
    can: ({ worked }) => canSwap(worked.problem),
    run: () => dispatch(changed(withSwappedOperands)),
  },
  {
    id: 'hops',
    group: 'change',
    label: 'Choose hops, pieces or changes on the active paper',
    keys: ['h'],
    can: (scene) => hopTaker(scene) !== null,
    run: (scene) => {
      const taker = hopTaker(scene);
      useSession.setState(({ choosing }) => ({ choosing: choosing === taker ? null : taker }));
    },
  },
  {
    id: 'method',
    group: 'change',
    label: 'Another method in place of the active paper',
    keys: ['s'],
    can: always,
    run: (scene) => useSession.setState({ listing: activeOf(scene).id }),
  },
  {
    id: 'add-paper',
    group: 'change',
    label: 'Lay another paper',
    keys: ['a'],
    can: ({ worked }) => worked.papers.length < MAX_PAPERS,
    whyNot: ({ worked }) =>
      worked.papers.length < MAX_PAPERS
        ? null
        : `A comparison holds ${MAX_PAPERS} papers; put one away to lay another.`,
    run: () => dispatch(changed(withAnotherPaper)),
  },
  {
    id: 'undo',
    group: 'change',
    label: 'Undo',
    keys: ['Control+z', 'Meta+z'],
    can: () => history().pastStates.length > 0,
    run: () => history().undo(),
  },
  {
    id: 'redo',
    group: 'change',
    label: 'Redo',
    keys: ['Control+Shift+z', 'Meta+Shift+z', 'Control+y'],
    can: () => history().futureStates.length > 0,
    run: () => history().redo(),
  },
  {
    id: 'voice',
    group: 'show',
    label: 'Digit voice or value voice',
    keys: ['v'],
    can: always,
    run: () =>
      useSettings.setState(({ voice }) => ({ voice: voice === 'digit' ? 'value' : 'digit' })),
  },
  {
    id: 'notes',
    group: 'show',
    label: 'Show or hide side notes',
    keys: ['n'],
    can: always,
    run: toggle('notes'),
  },
  {
    id: 'notches',
    group: 'show',
    label: 'Show or hide place notches',
    keys: ['t'],
    can: always,
    run: toggle('notches'),
  },
  {
    id: 'large',
    group: 'show',
    label: 'Open the active paper large, or close it',
    keys: ['o'],
    can: always,
    run: (scene) => showLarge(useSession.getState().large === null ? activeOf(scene).id : null),
  },
  {
    id: 'words',
    group: 'show',
    label: 'Words and settings',
    keys: [','],
    can: always,
    run: () => useSession.setState({ dialog: 'words' }),
  },
  {
    id: 'shortcuts',
    group: 'show',
    label: 'All shortcuts',
    keys: ['?'],
    can: always,
    run: () => useSession.setState({ dialog: 'shortcuts' }),
  },
  {
    id: 'bridge',
    group: 'change',
    label: 'Read a product as brackets in powers of its base, or back',
    keys: ['r'],
    can: ({ worked }) => readingOf(worked) !== null,
    run: () => dispatch(changed(withOtherReading)),
  },
  {
    id: 'why',
    group: 'go',
    label: 'Why the methods agree',
    keys: ['y'],
    can: always,
    run: ({ go }) => go('why'),
  },
  {
    id: 'checks',
    group: 'go',
    label: 'Checks',
    keys: ['k'],
    can: always,
    run: ({ go }) => go('checks'),
  },
  {
    id: 'slips',
    group: 'go',
    label: 'Slips',
    keys: ['j'],
    can: always,
    run: ({ go }) => go('slips'),
  },
  {
    id: 'methods',
    group: 'go',
    label: 'All methods',
    keys: ['m'],
    can: always,
    run: ({ go }) => go('methods'),
  },
  {
    id: 'bench',
    group: 'go',
    label: 'Bench',
    keys: ['b'],
    can: always,
    run: ({ go }) => go('bench'),
  },
  {
    id: 'present',
    group: 'go',
    label: 'Presenting view',
    keys: ['f'],
    can: always,
    run: ({ go }) => go('present'),
  },
  {
    id: 'print',
    group: 'go',
    label: 'Print view',
    keys: ['Alt+p'],
    can: always,
    run: ({ go }) => go('print'),
  },
  {
    id: 'comparisons',
    group: 'go',
    label: 'All comparisons',
    keys: ['l'],
    can: always,
    run: ({ go }) => go('comparisons'),
  },
];

const BY_ID = new Map(COMMANDS.map((command) => [command.id, command]));

/** The command with this id. RangeError when there is none. */
export function command(id: string): Command {
  const found = BY_ID.get(id);
  if (!found) throw new RangeError(`command: no command "${id}"`);
  return found;
}

/** The scene as the stores have it now. */
export function sceneNow(go: Scene['go']): Scene {
  const { content, progress } = useComparison.getState();
  const worked = work(content);
  return { worked, steps: fittedSteps(worked, progress.steps), pace: progress.pace, go };
}
