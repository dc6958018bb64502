import { definePhrases, fixed, plain, type Wording } from '../../phrases/phrasebook.ts';

type CellValues = {
  readonly left: number;
  readonly leftPlace: number;
  readonly right: number;
  readonly rightPlace: number;
  /** What the fact is taken for. */
  readonly fact: number;
  readonly upper: number;
  readonly lower: number;
  readonly slip: string;
};

const cell: Wording<CellValues> = {
  digit: ({ left, right, fact: taken, upper, lower, slip }, say) => {
    const fact = say.fact(left, right, taken);
    const written = `**${say.number(upper)}** above the diagonal, **${say.number(lower)}** below`;
    if (slip === 'zero-tens-left-out') {
      return `${fact}: **${say.number(upper)}** above the diagonal, and nothing below.`;
    }
    return slip ? `${fact}, but written the wrong way round: ${written}.` : `${fact}: ${written}.`;
  },
  value: ({ left, leftPlace, right, rightPlace, fact: taken, upper, lower, slip }, say) => {
    const at = leftPlace + rightPlace;
    const written = `${say.count(upper, at + 1)} above the diagonal, ${say.count(lower, at)} below`;
    const fact = say.placeFact(left, leftPlace, right, rightPlace, 1, taken);
    if (slip === 'zero-tens-left-out') {
      return `${fact}, but ${say.count(upper, at + 1)} ${say.is(upper)} written above the diagonal, and nothing below.`;
    }
    return slip ? `${fact}, but ${written}.` : `${fact}: ${written}.`;
  },
};

type DiagonalValues = {
  readonly figures: readonly string[];
  readonly carried: number;
  readonly total: number;
  readonly place: number;
  readonly keep: number;
  readonly edge: number;
  readonly slip: string;
};

const diagonal: Wording<DiagonalValues> = {
  digit: ({ figures, carried, total, keep, edge, slip }, say) => {
    const parts = [
      ...figures,
      ...(carried && slip !== 'forget-carry' ? [`${say.number(carried)} ${say.carried}`] : []),
      ...(slip === 'add-edge-digit' ? [`${say.number(edge)} from the edge`] : []),
    ];
    const sum =
      parts.length === 1
        ? `Only ${parts[0]} on this diagonal`
        : `${parts.length > 6 ? `${parts.length} figures` : parts.join(' + ')} = ${say.number(total)}`;
    const lost =
      slip === 'forget-carry' ? ` The ${say.number(carried)} ${say.carried} is forgotten.` : '';
    if (keep === 0) return `${sum}: write **${say.number(total)}**.${lost}`;
    return `${sum}: write **${say.number(total % say.base)}**, ${say.passOnFigures(keep)} to the next diagonal.${lost}`;
  },
  value: ({ carried, total, place, keep, edge, slip }, say) => {
    const from =
      carried && slip !== 'forget-carry'
        ? ` with the ${say.count(carried, place)} ${say.carried}`
        : '';
    const lost =
      slip === 'forget-carry'
        ? ` The ${say.count(carried, place)} ${say.carried} ${say.is(carried)} forgotten.`
        : slip === 'add-edge-digit'
          ? ` The ${say.number(edge)} at the edge is no part of the product, yet it is counted.`
          : '';
    const sum = `This diagonal holds the ${say.places(place)}${from}: **${say.count(total, place)}**`;
    if (keep === 0) return `${sum}.${lost}`;
    return `${sum}; write ${say.count(total % say.base, place)}, ${say.passOn(keep, place + 1)}.${lost}`;
  },
};

/** What the lattice says in its steps. */
type OtherValues = Omit<DiagonalValues, 'edge' | 'slip'>;

/** A line that is added from the upper left to the lower right. */
const otherWay: Wording<OtherValues> = {
  digit: ({ figures, carried, total, keep }, say) => {
    const parts = [...figures, ...(carried > 0 ? [`${say.number(carried)} ${say.carried}`] : [])];
    const sum = `From the upper left to the lower right: ${parts.join(' + ')}${parts.length > 1 ? ` = ${say.number(total)}` : ''}`;
    return keep === 0
      ? `${sum}; write **${say.number(total)}**.`
      : `${sum}; write **${say.number(total % say.base)}**, ${say.passOnFigures(keep)} on.`;
  },
  value: ({ total, place }, say) =>
    `Figures of different places are added as if they were of one: **${say.count(total, place)}**.`,
};

export const latticePhrases = definePhrases({
  'lattice.cell': cell,
  'lattice.diagonal': diagonal,
  'lattice.other way': otherWay,
  'lattice.cell name': plain(
    ({ left, right }: { left: string; right: string }, say) => `cell ${left} ${say.times} ${right}`,
  ),
  'lattice.row name': plain(({ heading }: { heading: string }) => `cells of the row of ${heading}`),
  'lattice.column name': plain(
    ({ heading }: { heading: string }) => `cells of the column of ${heading}`,
  ),
  'lattice.diagonal name': plain(
    ({ place }: { place: number }, say) => `diagonal of the ${say.places(place)}`,
  ),
  'lattice.skipped': plain(
    ({ place }: { place: number }, say) =>
      `The diagonal of the ${say.places(place)} is passed over.`,
  ),
  'lattice.answer': fixed('answer of the lattice'),
});
