import type { Exact } from '../../exact/exact.ts';
import type { Speaker } from '../../phrases/speaker.ts';

/** What is said of one figure of a quotient that comes about otherwise. */
interface Turned {
  readonly slip: string;
  readonly part: Exact;
  readonly divisor: Exact;
  readonly quotient: number;
  readonly digit: number;
  readonly rest: Exact;
  readonly place: number;
}

/** The sentence on a figure at which a learner does something else, in digits; null where nothing else is done. */
export function otherwise(
  { slip, part, divisor, quotient, digit, rest }: Turned,
  say: Speaker,
): string | null {
  const written = `write **${say.number(quotient)}**`;
  const [by, there, left] = [divisor, part, rest].map((amount) => say.worth(amount));
  switch (slip) {
    case 'figure-by-figure':
      return part.isZero || part.compare(divisor) >= 0
        ? `${there} ÷ ${by}: ${written}, and nothing is carried on.`
        : `${there} is smaller than ${by}, so ${by} is divided by ${there}: ${written}.`;
    case 'next-figure-not-down':
      return `The ${say.number(digit)} is not brought down; ${by} does not go into ${there}: ${written}.`;
    case 'remainder-too-large':
      return `${there} ÷ ${by} is taken for ${say.number(quotient)}: ${written}, and ${left} is left, though ${by} goes into it.`;
    case 'quotient-place-off':
      return `${there} ÷ ${by}: ${written}, over the first figure of ${there} and not over its last.`;
    default:
      return null;
  }
}

/** The same in amounts. */
export function otherwiseInWorth(
  { slip, part, divisor, quotient, digit, rest, place }: Turned,
  say: Speaker,
): string | null {
  const given = `**${say.count(quotient, place)}**`;
  const by = say.worth(divisor);
  const there = say.count(part.numerator, place);
  switch (slip) {
    case 'figure-by-figure':
      return `${there} alone ${say.is(Number(part.numerator))} worked with ${by}, whichever way it goes: ${given}.`;
    case 'next-figure-not-down':
      return `${say.opening(say.count(digit, place))} ${say.is(digit)} passed over; what is left is taken for ${there}: ${given}.`;
    case 'remainder-too-large':
      return `${given} are given to each of ${by}, and ${say.count(rest.numerator, place)} are left, enough for one more.`;
    case 'quotient-place-off':
      return `${there} shared by ${by} give ${given} each, but they are written as ${say.count(quotient, place + 1)}.`;
    default:
      return null;
  }
}

interface Tried {
  readonly slip: string;
  readonly again: boolean;
  readonly quotient: number;
}

/** How a trial that is too small begins, and how it goes on; null for one that is not. */
export function triedWords(
  {
    slip,
    again,
    quotient,
    divisor,
    part,
  }: Tried & { readonly divisor: Exact; readonly part: Exact },
  say: Speaker,
): string | null {
  const figure = `**${say.number(quotient)}**`;
  const [by, there] = [say.worth(divisor), say.worth(part)];
  if (slip === 'trial-too-small' && again) {
    return `${by} still goes into ${there}, so ${figure} is written beside the figure before`;
  }
  if (slip === 'trial-too-small' || slip === 'remainder-too-large') {
    return `${by} into ${there} is taken to go ${figure}, one too few`;
  }
  return slip === 'quotient-place-off'
    ? `${by} into ${there} goes ${figure}, written over the first figure of ${there} and not over its last`
    : null;
}

/** What is added to the sentence on a product. */
export function triedInWorth({ slip, again, quotient }: Tried, say: Speaker): string {
  if (slip === 'trial-too-small' && again) {
    return ', but they are written behind the others, which move up a place';
  }
  if (slip === 'trial-too-small' || slip === 'remainder-too-large') {
    return `, though there is enough for ${say.number(quotient + 1)}`;
  }
  return slip === 'quotient-place-off' ? ', but they are written a place too far up' : '';
}
