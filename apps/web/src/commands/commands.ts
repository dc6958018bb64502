import { canSwap, type Pace, type PaperId, type Problem } from '@levee/core';
import { dispatch, history, useComparison } from '../store/comparison-store.ts';
import {
  otherReading,
  withAnotherPaper,
  withOtherReading,
  withSwappedOperands,
} from '../store/content.ts';
import { changed, stepped, worked as workedAs } from '../store/edits.ts';
import { pin, useSession } from '../store/session-store.ts';
import { useSettings } from '../store/settings-store.ts';
import { activePaper } from '../worked/use-worked.ts';
import { fittedSteps, stepsById, tooLong, work, type Paper, type Worked } from '../worked/work.ts';
import { alone, byAmount, byStep, sameSteps, toEnd, toStart, type Steps } from './transport.ts';

/** A screen that can be gone to. */
export type View = 'bench' | 'why' | 'checks' | 'present' | 'print' | 'comparisons' | 'methods';

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
  readonly run: (scene: Scene) => void;
}

const always = () => true;

function moveTo({ worked }: Scene, steps: Steps): void {
  dispatch(stepped(stepsById(worked, steps)));
}

/** The paper that single steps and the keyboard pointer belong to. */
function activeOf({ worked }: Scene): Paper {
  return activePaper(worked, useSession.getState().active);
}

/** The other reading of the problem, where the bench can show it. */
function readingOf({ problem }: Worked): Problem | null {
  const other = otherReading(problem);
  return other && tooLong(other) === null ? other : null;
}

/** A command that moves papers; it can run when that changes anything. */
function move(id: string, label: string, keys: string[], to: (scene: Scene) => Steps): Command {
  return {
    id,
    group: 'move',
    label,
    keys,
    can: (scene) => !sameSteps(to(scene), scene.steps),
    run: (scene) => moveTo(scene, to(scene)),
  };
}

function paced(scene: Scene, by: 1 | -1): Steps {
  const { worked, steps, pace } = scene;
  if (pace === 'amount') return byAmount(worked, steps, by);
  if (pace === 'step') return byStep(worked, steps, by);
  return alone(worked, steps, activeOf(scene).index, by);
}

const SINGLE: readonly Command[] = [0, 1, 2, 3].flatMap((k) => [
  {
    ...move(
      `paper-${k + 1}`,
      `One step on paper ${k + 1} alone`,
      [`${k + 1}`],
      ({ worked, steps }) => (k < steps.length ? alone(worked, steps, k, 1) : steps),
    ),
  },
  {
    ...move(
      `paper-${k + 1}-back`,
      `Back on paper ${k + 1} alone`,
      [`Shift+${k + 1}`],
      ({ worked, steps }) => (k < steps.length ? alone(worked, steps, k, -1) : steps),
    ),
  },
]);

const toggle = (key: 'notes' | 'notches') => () =>
  useSettings.setState((settings) => ({ [key]: !settings[key] }));

/** The owed term that is pointed at on a paper of free order, when its turn can be chosen. */
function choosable({ worked, steps }: Scene) {
  const { pointed } = useSession.getState();
  if (pointed?.kind !== 'entry') return null;
  const paper = worked.papers.find(({ id }) => id === pointed.paper);
  if (!paper?.method.freeOrder) return null;
  const owed = paper.lane.trace.start.find((entry) => entry.id === pointed.id);
  if (!owed || (paper.line.takenAt.get(owed.id) ?? 0) <= steps[paper.index]!) return null;
  return { paper, term: owed.id.slice(1) };
}

function workNext(scene: Scene): void {
  const chosen = choosable(scene);
  if (!chosen) return;
  const { paper, term } = chosen;
  const done = scene.steps[paper.index]!;
  const owed = new Set(paper.lane.trace.start.map((entry) => entry.id));
  const before = paper.lane.trace.steps
    .slice(0, done)
    .flatMap((step) => step.takes.filter((id) => owed.has(id)).map((id) => id.slice(1)));
  dispatch(workedAs(paper.id, { order: [...before, term] }, done + 1));
}

/** The active paper when its method takes hops of her own, or the only one that does. */
function hopTaker({ worked }: Scene): PaperId | null {
  const { active } = useSession.getState();
  const takers = worked.papers.filter(({ method }) => method.ownHops);
  const own = takers.find(({ id }) => id === active) ?? takers[0];
  return own?.id ?? null;
}

function pointBeside(by: 1 | -1): (scene: Scene) => void {
  return (scene) => {
    const { worked, steps } = scene;
    const { pointed } = useSession.getState();
    const paper = activeOf(scene);
    const ids = readingOrder(worked, paper.index, steps[paper.index]!);
    const at = pointed?.kind === 'entry' ? ids.indexOf(pointed.id) : -1;
    const next = ids.at(at < 0 ? (by === 1 ? 0 : -1) : (at + by) % ids.length);
    if (next) pin({ kind: 'entry', paper: paper.id, id: next });
  };
}

/** What is on a paper, line by line from the top, left to right. */
export function readingOrder(worked: Worked, index: number, step: number) {
  const { drawing, line, givens } = worked.papers[index]!;
  return drawing.figures
    .filter(({ entry }) => givens.has(entry) || (line.writtenAt.get(entry) ?? Infinity) <= step)
    .sort((a, b) => a.box.y - b.box.y || a.box.x - b.box.x)
    .map(({ entry }) => entry);
}

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
    id: 'work-next',
    group: 'change',
    label: 'Work the owed amount that is pointed at next',
    keys: ['w'],
    can: (scene) => choosable(scene) !== null,
    run: workNext,
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
    id: 'add-paper',
    group: 'change',
    label: 'Lay another paper',
    keys: ['a'],
    can: ({ worked }) => worked.papers.length < 4,
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
    run: (scene) =>
      useSession.setState(({ large }) => ({ large: large === null ? activeOf(scene).id : null })),
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
