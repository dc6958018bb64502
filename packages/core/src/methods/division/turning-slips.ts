import { where } from '../../account/chance.ts';
import { slipOf } from '../../slips/catalogue.ts';
import type { SlipSpec } from '../method-spec.ts';
import { figureByFigure } from './division-plan.ts';
import type { FigureDivision } from './division-work.ts';

/** Slips by which the figures of a quotient come about otherwise. */
export const FIGURE_BY_FIGURE = slipOf('figure-by-figure');
export const NOT_DOWN = slipOf('next-figure-not-down');
export const TRIAL_TOO_SMALL = slipOf('trial-too-small');
export const REST_TOO_LARGE = slipOf('remainder-too-large');
export const PLACE_OFF = slipOf('quotient-place-off');

/** Those that every division with single figures can make. */
export const TURNING_SLIPS: readonly SlipSpec[] = [NOT_DOWN, REST_TOO_LARGE, PLACE_OFF];

const WHOLE = where('answer', 0);

/** Asks whether every figure is divided by itself, the smaller into the larger; call it before any figure is worked. */
export function worksFigureByFigure(division: FigureDivision): boolean {
  const { plan, scribe } = division;
  const { dividend, by, shift, base } = plan;
  const isShort = by > 1n && by < BigInt(base) && shift === 0 && dividend.decimals === 0;
  if (!isShort || dividend.digits.length < 2) return false;
  const apart = figureByFigure(plan);
  const ahead = apart.figures.findIndex(({ quotient, part }) => BigInt(quotient) * by !== part);
  if (!scribe.slip(FIGURE_BY_FIGURE.id, ahead >= 0, { at: WHOLE, ahead })) return false;
  division.work(apart);
  return true;
}

/** Asks whether the quotient is written a place too far to the left; call it before its first figure. */
export function writesPlaceOff(division: FigureDivision, k: number): boolean {
  const { figures, end, dividend, shift } = division.plan;
  const isWhole = end === 'exact' && figures.at(-1)!.place === 0 && dividend.decimals === 0;
  const may = k > 0 && isWhole && shift === 0;
  if (!division.scribe.slip(PLACE_OFF.id, may, { at: WHOLE })) return false;
  division.off = 1;
  return true;
}

/** Asks whether the next figure is not brought down to what is left; call it before that is done. */
export function bringsNothingDown(division: FigureDivision, k: number): boolean {
  const { before, given, again, place } = division.plan.figures[k]!;
  const may = before > 0n && given && !again;
  if (!division.scribe.slip(NOT_DOWN.id, may, { at: where('place', place) })) return false;
  division.turn({ idle: new Set([...division.turned.idle, place]) });
  return true;
}

/** Asks whether the trial figure is too small, and what is left is divided again beside it. */
export function triesTwice(division: FigureDivision, k: number): boolean {
  const { quotient, again, place } = division.plan.figures[k]!;
  const may = quotient > 1 && !again && division.off === 0;
  // What is read otherwise is seen when the second figure is written.
  const ahead = 2;
  if (!division.scribe.slip(TRIAL_TOO_SMALL.id, may, { at: where('place', place), ahead })) {
    return false;
  }
  division.turn({ twice: new Set([...division.turned.twice, place]) });
  return true;
}

/** Asks whether the last figure is one too small, so that a remainder is told that is too large. */
export function leavesTooMuch(division: FigureDivision, k: number): boolean {
  const { figures, last } = division.plan;
  const { quotient, again, place } = figures[k]!;
  const may = quotient > 0 && !again && place === last && division.off === 0;
  if (!division.scribe.slip(REST_TOO_LARGE.id, may, { at: where('place', place) })) return false;
  division.turn({ low: new Set([...division.turned.low, place]) });
  return true;
}

/** Asks what is taken to be left after a figure. */
export function restFact(division: FigureDivision, k: number, ahead: number): void {
  const { scribe, turned, plan } = division;
  const { part, quotient, rest, place, again } = plan.figures[k]!;
  const isTurned = turned.low.has(place) || turned.twice.has(place);
  if (quotient === 0 || again || isTurned || part >= BigInt(plan.base) ** 2n) return;
  const product = BigInt(quotient) * plan.by;
  const of = [Number(part), Number(product)] as const;
  const fact = { sign: '−', of, due: Number(rest), most: Number(plan.by) - 1 } as const;
  const taken = scribe.fact(fact, where('place', place), ahead);
  if (BigInt(taken) !== rest)
    division.turn({ left: new Map([...turned.left, [place, BigInt(taken)]]) });
}
