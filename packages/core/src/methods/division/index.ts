import { longDivision } from './long-division.ts';
import { partialQuotients } from './partial-quotients.ts';
import { shortDivision } from './short-division.ts';

/** The methods for quotients, in the order they are offered. */
export const division = [shortDivision, longDivision, partialQuotients];
