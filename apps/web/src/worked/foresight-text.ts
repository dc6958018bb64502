import type { Foresight, Speaker } from '@levee/core';

/** What a method will have to do with these numbers, in a short sentence. */
export function foresightText(foreseen: readonly Foresight[], say: Speaker): string {
  if (foreseen.length === 0) return `Nothing out of the ordinary.`;
  return `${say.opening(say.list(foreseen.map((one) => pieceText(one, say))))}.`;
}

function pieceText({ kind, places, times }: Foresight, say: Speaker): string {
  const where = say.list(places.map((place) => say.places(place)));
  switch (kind) {
    case 'carry':
      return `${say.words.carry} into the ${where}`;
    case 'opening':
      return `${say.ungroup} to fill the ${where}`;
    case 'scratch':
      return times === 1 ? `one scratch, for the ${where}` : `${times} scratches, for the ${where}`;
    case 'little ones':
      return times === 1
        ? `one pair of little ones, below in the ${where}`
        : `little ones below in the ${where}`;
    case 'shortfall':
      return `a shortfall in the ${where}`;
    case 'adjustment':
      return 'an adjustment at the end';
    case 'remainder':
      return `what is left goes on into the ${where}`;
    case 'renaming':
      return times === 1 ? 'one fraction must be renamed' : `${times} fractions must be renamed`;
    case 'whole opened':
      return `${say.ungroup} a whole into parts`;
    case 'minus times minus':
      return times === 1 ? 'minus meets minus once' : `minus meets minus ${times} times`;
    case 'cancelling':
      return times === 1 ? 'terms cancel once' : `terms cancel ${times} times`;
    case 'root digits':
      return times === 1 ? 'the root has one digit here' : `the root has ${times} digits here`;
    case 'root left over':
      return 'something is left over';
    case 'prime pairs':
      return times === 1 ? 'one pair of primes comes out' : `${times} pairs of primes come out`;
    case 'prime alone':
      return times === 1 ? 'one prime has no partner' : `${times} primes have no partner`;
    case 'scaling':
      return 'both numbers are scaled until the divisor is whole';
  }
}
