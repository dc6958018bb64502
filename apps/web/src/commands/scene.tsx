import {
  createContext,
  useContext,
  useEffect,
  useMemo,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import { useNavigate, useParams } from 'react-router';
import { useComparison } from '../store/comparison-store.ts';
import { useSession } from '../store/session-store.ts';
import { useSettings } from '../store/settings-store.ts';
import { LettersOf } from '../ui/letters.tsx';
import { useWorked } from '../worked/use-worked.ts';
import { command, sceneNow, type Scene } from './commands.ts';
import { commandFor } from './keys.ts';

type Go = Scene['go'];
const GoContext = createContext<Go>(() => undefined);

/** Gives commands to everything below, from buttons and from keys. */
export function SceneProvider({ children }: { readonly children: ReactNode }) {
  const navigate = useNavigate();
  const { id = '' } = useParams();
  const go = useMemo<Go>(
    () => (view) => {
      const paths = {
        bench: `/c/${id}`,
        comparisons: '/comparisons',
        methods: '/methods',
        new: '/new',
      } as Record<string, string>;
      void navigate(paths[view] ?? `/c/${id}/${view}`);
    },
    [navigate, id],
  );
  useKeys(go);
  usePlaying(go);
  useReleasedFocus();
  const { problem } = useWorked();
  return (
    <LettersOf problem={problem}>
      <GoContext value={go}>{children}</GoContext>
    </LettersOf>
  );
}

function useKeys(go: Go): void {
  const letterKeys = useSettings((settings) => settings.letterKeys);
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.defaultPrevented || somethingIsOpen()) return;
      const found = commandFor(event, letterKeys);
      const scene = sceneNow(go);
      if (!found?.can(scene)) return;
      event.preventDefault();
      found.run(scene);
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [go, letterKeys]);
}

/** Whether a dialog or a menu lies over the page; they are laid beside the application's own root. */
function somethingIsOpen(): boolean {
  return [...document.body.children].some((child) => child.classList.contains('MuiModal-root'));
}

/** Long enough for a closing menu to give the focus back. */
const RELEASE = 60;

/**
 * A button that was pressed with the pointer lets go of the focus, so that space, enter and arrows
 * go on moving the papers. Buttons pressed from the keyboard keep it.
 */
function useReleasedFocus(): void {
  useEffect(() => {
    const release = () => {
      const focused = document.activeElement;
      if (!(focused instanceof HTMLButtonElement)) return;
      if (!focused.closest('[role="dialog"], [role="menu"]')) focused.blur();
    };
    const pressed = ({ detail }: MouseEvent) => {
      if (detail === 0) return;
      const opensNothing = document.activeElement?.hasAttribute('aria-pressed');
      if (opensNothing) release();
      else setTimeout(release, RELEASE);
    };
    window.addEventListener('click', pressed);
    return () => window.removeEventListener('click', pressed);
  }, []);
}

const BEAT = 1600;

/** While playing, goes on at the chosen pace until the end. */
function usePlaying(go: Go): void {
  const playing = useSession((session) => session.playing);
  useEffect(() => {
    if (!playing) return;
    const timer = setInterval(() => {
      const scene = sceneNow(go);
      const next = command('next');
      if (next.can(scene)) next.run(scene);
      else useSession.setState({ playing: false });
    }, BEAT);
    return () => clearInterval(timer);
  }, [playing, go]);
}

/** Listens to all that commands look at. */
function onSceneChange(listener: () => void): () => void {
  const leave = [useComparison.subscribe(listener), useSession.subscribe(listener)];
  return () => leave.forEach((stop) => stop());
}

export interface UsedCommand {
  /** Whether it can run at the moment. */
  readonly can: boolean;
  /** Why not, where that is not plain to see. */
  readonly whyNot: string | null;
  readonly run: () => void;
  readonly label: string;
}

/** A command as it stands at the moment; renders again only when that changes. */
export function useCommand(id: string): UsedCommand {
  const go = useContext(GoContext);
  const { can, run, label, whyNot } = command(id);
  const possible = useSyncExternalStore(onSceneChange, () => can(sceneNow(go)));
  const reason = useSyncExternalStore(onSceneChange, () => whyNot?.(sceneNow(go)) ?? null);
  return { can: possible, whyNot: reason, run: () => run(sceneNow(go)), label };
}

export function useGo(): Go {
  return useContext(GoContext);
}
