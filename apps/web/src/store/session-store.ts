import type { Pointed } from '@levee/core';
import { create } from 'zustand';

export interface Session {
  /** What is pointed at, and whether it stays when the pointer leaves. */
  readonly pointed: Pointed | null;
  readonly pinned: boolean;
  /** The paper that single steps and the keyboard pointer belong to. */
  readonly active: number;
  /** The one paper shown large, if any. */
  readonly large: number | null;
  readonly playing: boolean;
  /** The paper whose hops are being chosen, if any. */
  readonly choosing: number | null;
  readonly dialog: 'words' | 'shortcuts' | 'estimate' | null;
}

const BEGINNING: Session = {
  pointed: null,
  pinned: false,
  active: 0,
  large: null,
  playing: false,
  choosing: null,
  dialog: null,
};

/** What is going on at the moment; never kept. */
export const useSession = create<Session>(() => BEGINNING);

/** Points at something for as long as the pointer is there; a pinned subject stays. */
export function hover(pointed: Pointed | null): void {
  const session = useSession.getState();
  if (session.pinned || samePointed(session.pointed, pointed)) return;
  useSession.setState({ pointed });
}

/** Keeps pointing at something; the same again lets go. */
export function pin(pointed: Pointed | null): void {
  const session = useSession.getState();
  const again = session.pinned && samePointed(session.pointed, pointed);
  useSession.setState(
    again || !pointed ? { pointed: null, pinned: false } : { pointed, pinned: true },
  );
}

export function samePointed(a: Pointed | null, b: Pointed | null): boolean {
  if (a === b) return true;
  if (!a || !b || a.kind !== b.kind) return false;
  if (a.kind === 'terms') return b.kind === 'terms' && a.terms.equals(b.terms);
  return b.kind !== 'terms' && a.lane === b.lane && a.id === b.id;
}

/** Forgets all that belongs to one comparison. */
export function resetSession(): void {
  useSession.setState(BEGINNING);
}
