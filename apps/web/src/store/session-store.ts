import { MOST_FRAMED, type EntryId, type PaperId, type TermSet } from '@levee/core';
import { create } from 'zustand';
import { useComparison } from './comparison-store.ts';

/** What is pointed at: a figure or group of one paper, or terms wherever they are. */
export type PointedAt =
  | { readonly kind: 'entry'; readonly paper: PaperId; readonly id: EntryId }
  | { readonly kind: 'group'; readonly paper: PaperId; readonly id: string }
  | { readonly kind: 'terms'; readonly terms: TermSet };

/** An amount that stays framed, with the number that tells its texture. */
export interface FramedAmount {
  readonly number: number;
  readonly at: PointedAt;
}

export interface Session {
  /** The comparison that all this is about. */
  readonly of: string | null;
  /** What is pointed at, and whether it stays when the pointer leaves. */
  readonly pointed: PointedAt | null;
  readonly pinned: boolean;
  /** Amounts that stay framed on papers and pictures, at most {@link MOST_FRAMED}; each keeps its number. */
  readonly framed: readonly FramedAmount[];
  /** The paper that single steps and the keyboard pointer belong to; the first one when it is none of those there. */
  readonly active: PaperId | null;
  /** The one paper shown large, if any. */
  readonly large: PaperId | null;
  /** Times the size at which all of the large paper is seen. */
  readonly zoom: number;
  readonly playing: boolean;
  /** The paper whose hops are being chosen, if any. */
  readonly choosing: PaperId | null;
  /** The line that is being typed on a paper of own lines, from 0; one behind the last is a new one. */
  readonly typing: Typing | null;
  /** The paper whose list of methods was opened by its key, if any. */
  readonly listing: PaperId | null;
  readonly dialog: 'words' | 'shortcuts' | 'estimate' | 'about' | null;
}

export interface Typing {
  readonly paper: PaperId;
  readonly line: number;
  /** Where the caret is put; at the end when absent. */
  readonly caret?: number;
}

const BEGINNING: Session = {
  of: null,
  pointed: null,
  pinned: false,
  framed: [],
  active: null,
  large: null,
  zoom: 1,
  playing: false,
  choosing: null,
  typing: null,
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

/** Frames what is pointed at under the least free number, or lets go of its frame. Nothing happens when all are taken. */
export function toggleFrame(at: PointedAt): void {
  const { framed } = useSession.getState();
  const there = framed.find((one) => samePointed(one.at, at));
  if (there) return unframe(there.number);
  const free = NUMBERS.find((number) => framed.every((one) => one.number !== number));
  if (free) useSession.setState({ framed: [...framed, { number: free, at }] });
}

/** Why what is pointed at cannot be framed or let go of now; null when it can. */
export function whyNoFrame(): string | null {
  const { pointed, framed } = useSession.getState();
  if (!pointed) return 'Point at an amount first.';
  const isFramed = framed.some(({ at }) => samePointed(at, pointed));
  if (isFramed || framed.length < MOST_FRAMED) return null;
  return `${MOST_FRAMED} amounts are framed already; take one away first.`;
}

export function unframe(number: number): void {
  const { framed } = useSession.getState();
  useSession.setState({ framed: framed.filter((one) => one.number !== number) });
}

const NUMBERS = Array.from({ length: MOST_FRAMED }, (_, k) => k + 1);

export function samePointed(a: PointedAt | null, b: PointedAt | null): boolean {
  if (a === b) return true;
  if (!a || !b || a.kind !== b.kind) return false;
  if (a.kind === 'terms') return b.kind === 'terms' && a.terms.equals(b.terms);
  return b.kind !== 'terms' && a.paper === b.paper && a.id === b.id;
}

/** Opens a view of a comparison: what is pointed at and framed goes along from view to view, but not to another comparison. */
export function enterComparison(of: string): void {
  const session = useSession.getState();
  resetSession();
  useSession.setState({ of });
  if (session.of !== of) return;
  const { pointed, pinned, framed, active, typing } = session;
  useSession.setState({ framed, active, typing, ...(pinned ? { pointed, pinned } : {}) });
}

/** Forgets all that is going on. */
export function resetSession(): void {
  useSession.setState(BEGINNING);
}

/**
 * What is pointed at or framed on a paper stays while that paper is worked as it was; terms stay while the same papers
 * lie there, since other papers cut the numbers otherwise.
 */
useComparison.subscribe(({ content }, { content: before }) => {
  if (content.papers === before.papers && content.problem === before.problem) return;
  const { pointed, framed } = useSession.getState();
  const paper = (of: typeof content, id: PaperId) => of.papers.find((own) => own.id === id);
  const stays = (at: PointedAt) =>
    at.kind !== 'terms' &&
    content.problem === before.problem &&
    paper(content, at.paper) === paper(before, at.paper);
  if (pointed && !stays(pointed)) useSession.setState({ pointed: null, pinned: false });
  if (framed.length > 0) useSession.setState({ framed: framed.filter(({ at }) => stays(at)) });
});
