import type { EntryId, PaperId, TermSet } from '@levee/core';
import { create } from 'zustand';
import { useComparison } from './comparison-store.ts';

/** What is pointed at: a figure or group of one paper, or terms wherever they are. */
export type PointedAt =
  | { readonly kind: 'entry'; readonly paper: PaperId; readonly id: EntryId }
  | { readonly kind: 'group'; readonly paper: PaperId; readonly id: string }
  | { readonly kind: 'terms'; readonly terms: TermSet };

export interface Session {
  /** What is pointed at, and whether it stays when the pointer leaves. */
  readonly pointed: PointedAt | null;
  readonly pinned: boolean;
  /** The paper that single steps and the keyboard pointer belong to; the first one when it is none of those there. */
  readonly active: PaperId | null;
  /** The one paper shown large, if any. */
  readonly large: PaperId | null;
  /** Times the size at which all of the large paper is seen. */
  readonly zoom: number;
  readonly playing: boolean;
  /** The paper whose hops are being chosen, if any. */
  readonly choosing: PaperId | null;
  /** The paper whose list of methods was opened by its key, if any. */
  readonly listing: PaperId | null;
  readonly dialog: 'words' | 'shortcuts' | 'estimate' | 'about' | null;
}

const BEGINNING: Session = {
  pointed: null,
  pinned: false,
  active: null,
  large: null,
  zoom: 1,
  playing: false,
  choosing: null,
  listing: null,
  dialog: null,
};

/** What is going on at the moment; never kept. */
export const useSession = create<Session>(() => BEGINNING);

/** Shows one paper large, all of it to begin with; null shows all papers again. */
export function showLarge(large: PaperId | null): void {
  useSession.setState({ large, zoom: 1 });
}

/** Points at something for as long as the pointer is there; a pinned subject stays. */
export function hover(pointed: PointedAt | null): void {
  const session = useSession.getState();
  if (session.pinned || samePointed(session.pointed, pointed)) return;
  useSession.setState({ pointed });
}

/** Keeps pointing at something; the same again lets go. */
export function pin(pointed: PointedAt | null): void {
  const session = useSession.getState();
  const again = session.pinned && samePointed(session.pointed, pointed);
  useSession.setState(
    again || !pointed ? { pointed: null, pinned: false } : { pointed, pinned: true },
  );
}

export function samePointed(a: PointedAt | null, b: PointedAt | null): boolean {
  if (a === b) return true;
  if (!a || !b || a.kind !== b.kind) return false;
  if (a.kind === 'terms') return b.kind === 'terms' && a.terms.equals(b.terms);
  return b.kind !== 'terms' && a.paper === b.paper && a.id === b.id;
}

/** Forgets all that belongs to one comparison. */
export function resetSession(): void {
  useSession.setState(BEGINNING);
}

/**
 * What is pointed at on a paper stays while that paper is worked as it was; terms stay while the same papers lie
 * there, since other papers cut the numbers otherwise.
 */
useComparison.subscribe(({ content }, { content: before }) => {
  const { pointed } = useSession.getState();
  if (!pointed || (content.papers === before.papers && content.problem === before.problem)) return;
  const paper = (of: typeof content, id: PaperId) => of.papers.find((own) => own.id === id);
  const stays =
    pointed.kind !== 'terms' &&
    content.problem === before.problem &&
    paper(content, pointed.paper) === paper(before, pointed.paper);
  if (!stays) useSession.setState({ pointed: null, pinned: false });
});
