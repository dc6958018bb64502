import { OWN_LINES } from '../account/own-lines.ts';
import { OWN_LINES_NAME } from '../account/own-lines.ts';
import { registry } from './index.ts';

/** What a method is called, by its id; own lines are one that the registry does not list. RangeError on an unknown id. */
export function nameOfMethod(id: string): string {
  return id === OWN_LINES ? OWN_LINES_NAME : registry.get(id).name;
}

/** The same as short as it is on a paper; an id that is not known any more stands for itself. */
export function shortNameOfMethod(id: string): string {
  return id === OWN_LINES ? OWN_LINES_NAME : (registry.find(id)?.shortName ?? id);
}
