import { structureOf, type Problem } from '@levee/core';
import { problemOf } from '../../store/content.ts';

/** A random number from 0 up to, not including, 1. */
export type Random = () => number;

/** How hard numbers must be by structure, so that methods go apart on them. */
const TELLING = 2;
const TRIES = 80;

type Between = (least: number, most: number) => number;

const MAKERS: readonly ((between: Between) => string)[] = [
  (between) => `${between(12, 99)} × ${between(12, 99)}`,
  (between) => {
    const [one, other] = [between(201, 999), between(101, 899)];
    return `${Math.max(one, other) + 1} − ${Math.min(one, other)}`;
  },
  (between) => `${between(100, 999)} + ${between(100, 999)} + ${between(12, 99)}`,
  (between) => `${between(100, 999)} ÷ ${between(3, 9)}`,
  (between) => `${between(0, 1) * 2 + 1}/4 + ${between(0, 1) * 4 + 1}/6`,
];

/** So many computations of different kinds whose numbers are worth comparing methods on. */
export function suggestions(count: number, random: Random): readonly Problem[] {
  const between: Between = (least, most) => least + Math.floor(random() * (most - least + 1));
  const makers = [...MAKERS];
  return Array.from({ length: count }, () => {
    const [make] = makers.splice(between(0, makers.length - 1), 1);
    return tellingOf(() => make!(between));
  });
}

function tellingOf(make: () => string): Problem {
  let found = problemOf({ problem: make() });
  for (let tries = 0; tries < TRIES && structureOf(found).level < TELLING; tries++) {
    found = problemOf({ problem: make() });
  }
  return found;
}
