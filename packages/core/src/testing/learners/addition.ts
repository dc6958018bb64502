import { figures, read, type Mind } from './mind.ts';

/** A learner of column addition who slips, with figures alone. */
export function added(addends: readonly number[], mind: Mind): number {
  const own = addends.map(figures);
  const whole = (id: string) => mind.slips(id, 'answer-0', {});
  const ofAddend = (id: string, k: number) => mind.slips(id, `operand-${k}`, {});
  const broad = Math.max(...own.map((column) => column.length));
  if (whole('all-figures-added')) return own.flat().reduce((sum, figure) => sum + figure, 0);
  const columns = own.map((column, k): (number | undefined)[] => {
    const by = broad - column.length;
    if (by > 0 && ofAddend('set-from-the-left', k)) return [...Array<undefined>(by), ...column];
    const isLone = column.length === 1 && own.length === 2 && broad > 1;
    if (isLone && ofAddend('lone-figure-everywhere', k))
      return Array<number>(broad).fill(column[0]!);
    return column;
  });
  if (columns.length > 0 && rightward(columns, mind)) return carriedRightward(columns);
  return addedColumns(columns, mind);
}

type Columns = readonly (readonly (number | undefined)[])[];

function widthOf(columns: Columns): number {
  return Math.max(...columns.map((column) => column.length));
}

/** The column where a learner who works from the left first has something over. */
function rightward(columns: Columns, mind: Mind): boolean {
  const sums = Array.from({ length: widthOf(columns) }, (_, place) =>
    columns.reduce((all, column) => all + (column[place] ?? 0), 0),
  );
  let carried = 0;
  for (let place = sums.length - 1; place > 0; place--) {
    const total = sums[place]! + carried;
    if (total > 9) return mind.slips('carry-to-the-right', `place-${place}`, {});
    carried = 0;
  }
  return false;
}

function carriedRightward(columns: Columns): number {
  let carried = 0;
  let text = '';
  for (let place = widthOf(columns) - 1; place >= 0; place--) {
    const total = columns.reduce((all, column) => all + (column[place] ?? 0), carried);
    text += place === 0 ? total : total % 10;
    carried = Math.floor(total / 10);
  }
  return Number(text);
}

function addedColumns(columns: Columns, mind: Mind): number {
  const width = widthOf(columns);
  const written: number[] = [];
  let [carried, before] = [0, 0];
  for (let place = 0; place < width; place++) {
    const state = { above: columns[0]![place]!, below: columns[1]?.[place], carried };
    const slips = (id: string) => mind.slips(id, `place-${place}`, state);
    const standing = (at: number) => columns.filter((column) => column[at] !== undefined).length;
    const isBlank = place > 0 && standing(place) === 1 && standing(place - 1) > 1 && carried === 0;
    if (isBlank && slips('blank-column-left-out')) break;
    const eleven = carried === 1 && before === 1 && slips('carries-as-eleven');
    const joins = slips('forget-carry') ? 0 : eleven ? 11 : carried;
    const total = columns.reduce((all, column) => all + (column[place] ?? 0), joins);
    const parts = standing(place) + (joins > 0 ? 1 : 0);
    const [ones, tens] = [total % 10, Math.floor(total / 10)];
    const isLast = place === width - 1;
    const isWhole = slips('whole-total-in-place') || (isLast && !slips('carry-over-blank-lost'));
    const mayTurn = !isLast && tens > 0 && tens < 10;
    const turns = mayTurn && slips('carry-the-ones');
    if (turns) written.push(tens);
    else written.push(...(isWhole ? figures(total) : [ones]));
    before = carried;
    carried = isWhole ? 0 : tens;
    if (turns) carried = ones;
    if (!isLast && tens > 1 && slips('carry-always-one')) carried = 1;
    if (!isLast && tens === 0 && parts > 1 && slips('carry-where-none')) carried = 1;
  }
  return read(written);
}
