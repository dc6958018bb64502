import { readAsked } from '../read/asked.ts';
import { judgeLines } from './judge-lines.ts';
import { briefOf, saysOf } from '../say/says.ts';

function paper(problem: string, ...lines: readonly string[]) {
  const read = readAsked(problem);
  if (!read.ok) throw new Error(read.reason);
  return judgeLines(read.asked, lines);
}

function verdicts(problem: string, ...lines: readonly string[]): readonly string[] {
  return paper(problem, ...lines).lines.map(({ kind, verdict }) => `${kind} ${verdict}`);
}

describe('a paper of rewritings', () => {
  it('is judged line by line against the line before', () => {
    const made = paper('46 × 58', '= 46 × 60 − 46 × 2', '= 2760 − 92', '= 2668');
    expect(made.lines.map(({ against, verdict, law }) => [against, verdict, law])).toEqual([
      [0, 'lawful', 'distribute'],
      [1, 'lawful', 'evaluate'],
      [2, 'lawful', 'evaluate'],
    ]);
    expect([made.complete, made.right]).toEqual([true, true]);
  });

  it('follows through after an unequal line, which has its own difference and the nearest true line', () => {
    const made = paper('46 × 58', '= 46 × 6 − 46 × 2', '= 276 − 92', '= 184');
    const [first, second, third] = made.lines;
    expect([first!.verdict, `${first!.off}`]).toEqual(['unequal', '-2484']);
    expect(first!.nearest[0]!.text).toBe('46 × 60 − 46 × 2');
    expect([second!.verdict, second!.followed, `${second!.off}`]).toEqual(['lawful', true, '0']);
    expect(`${third!.totalOff}`).toBe('-2484');
    expect([made.complete, made.right]).toEqual([true, false]);
  });

  it('takes several rewritings in a line, and the problem said again', () => {
    const made = paper('38 + 27', '38 + 27 = 40 + 25 = 65');
    expect(made.lines[0]!.signs.map(({ at, verdict }) => [at, verdict])).toEqual([
      [8, 'lawful'],
      [18, 'lawful'],
    ]);
    expect(made.right).toBe(true);
  });
});

describe('side lines', () => {
  it('go into the total by what they make', () => {
    const made = paper(
      '46 × 58',
      '40 × 50 = 2000',
      '40 × 8 = 320',
      '6 × 50 = 300',
      '6 × 8 = 48',
      '2668',
    );
    expect(made.lines.map(({ joins }) => joins)).toEqual([5, 5, 5, 5, null]);
    expect(made.lines[4]).toMatchObject({ kind: 'total', verdict: 'lawful', against: 0 });
    expect(made.unused).toEqual([]);
  });

  it('go into it by their hops between the numbers of a difference', () => {
    const made = paper('642 − 387', '387 + 13 = 400', '400 + 242 = 642', '13 + 242 = 255');
    expect(made.lines.map(({ joins }) => joins)).toEqual([3, 3, null]);
    expect(made.lines[2]!.readings[0]!.moves[0]!.move).toBe('find-part');
    expect([made.complete, made.right]).toEqual([true, true]);
  });

  it('go into it by the factors that were chosen', () => {
    const made = paper('952 ÷ 7', '7 × 100 = 700', '7 × 36 = 252', '136');
    expect(made.lines.map(({ joins }) => joins)).toEqual([3, 3, null]);
  });

  it('go into it as what is taken away from the dividend', () => {
    const made = paper('952 ÷ 7', '952 − 700 = 252', '252 − 252 = 0', '136');
    expect(made.lines.map(({ joins }) => joins)).toEqual([3, 3, null]);
  });

  it('stay unused where they go into nothing', () => {
    expect(paper('46 × 58', '3 × 4 = 12', '= 2668').unused).toEqual([1]);
  });

  it('are unequal by their right side less their left', () => {
    const [line] = paper('46 × 58', '40 × 50 = 200').lines;
    expect([line!.kind, line!.verdict, `${line!.off}`]).toEqual(['side', 'unequal', '-1800']);
    expect(line!.nearest[0]!.text).toBe('40 × 50 = 2000');
  });

  it('answer the problem with its numbers at their ends', () => {
    const made = paper('642 − 387', '387 + 255 = 642');
    expect(made.lines[0]).toMatchObject({ verdict: 'lawful', law: 'inverse', move: 'find-part' });
    expect([made.complete, made.right]).toEqual([true, true]);
  });
});

describe('other ways to write', () => {
  it('reads jumps from number to number', () => {
    const made = paper('642 − 387', '387 +13→ 400 +242→ 642');
    expect(made.lines[0]).toMatchObject({ kind: 'hops', verdict: 'lawful', law: 'inverse' });
    expect(`${made.lines[0]!.value}`).toBe('255');
    expect(made.right).toBe(true);
  });

  it('reads jumps to a free end, and finds a wrong one', () => {
    expect(verdicts('642 − 387', '642 −300→ 342 −80→ 262 −7→ 255')).toEqual(['hops lawful']);
    const [line] = paper('642 − 387', '387 +13→ 410 +232→ 642').lines;
    expect([line!.verdict, `${line!.off}`]).toEqual(['unequal', '10']);
  });

  it('reads a ratio table', () => {
    expect(verdicts('952 ÷ 7', '1 | 7', '10 | 70', '136 | 952')).toEqual([
      'table side',
      'table side',
      'table lawful',
    ]);
    expect(verdicts('952 ÷ 7', '10 | 77')).toEqual(['table unequal']);
  });

  it('reads a box, which a later line fills', () => {
    const open = paper('952 ÷ 7', '7 × ? = 952');
    expect([open.lines[0]!.verdict, open.complete]).toEqual(['lawful', false]);
    const filled = paper('642 − 387', '387 + □ = 642', '□ = 255');
    expect([filled.complete, filled.right]).toEqual([true, true]);
  });

  it('reads a whole quotient with its rest, and what is owed without it', () => {
    expect(verdicts('955 ÷ 7', '= 136 r 3')).toEqual(['rewrite lawful']);
    expect(`${paper('955 ÷ 7', '= 136').lines[0]!.off}`).toBe('-3/7');
    expect(verdicts('955 ÷ 7', '= 136 r 4')).toEqual(['rewrite unequal']);
    expect(`${paper('1 ÷ 3', '= 0.33').lines[0]!.off}`).toBe('-1/300');
  });

  it('reads words of amount and units, and keeps other words as a note', () => {
    expect(verdicts('46 × 58', '4 tens × 58 + 6 ones × 58', 'because I know it', '≈ 3000')).toEqual(
      ['rewrite lawful', 'note note', 'note note'],
    );
    expect(paper('46 × 58', '= 2668 tiles').lines[0]).toMatchObject({
      verdict: 'lawful',
      units: ['tiles'],
    });
    expect(verdicts('half of 46 + 9 twelfths', '= 23 + 3/4')).toHaveLength(1);
    expect(verdicts('25% of 80', '= 25/100 × 80', '= 20')).toEqual([
      'rewrite lawful',
      'rewrite lawful',
    ]);
  });
});

describe('an equals sign that says “and then”', () => {
  it('is told statement by statement', () => {
    const [line] = paper('46 × 58', '46 × 60 = 2760 − 92 = 2668').lines;
    expect(line!.verdict).toBe('run-on');
    expect(line!.statements).toEqual(['46 × 60 = 2760', '2760 − 92 = 2668']);
    expect(line!.signs.map(({ verdict }) => verdict)).toEqual(['run-on', 'side']);
  });

  it('takes the line before back as a statement where it goes on from line to line', () => {
    expect(verdicts('38 + 27', '38 + 2', '= 40 + 25', '= 65')).toEqual([
      'side side',
      'rewrite run-on',
      'rewrite lawful',
    ]);
  });
});

describe('what cannot be read', () => {
  it.each([
    ['(40+', 0],
    ['= a + 2', 2],
    ['= 46 × × 58', 7],
    ['= 864 ÷ 0', 2],
    ['<b>46</b>', 0],
    [`= ${'1 + '.repeat(500)}1`, 1000],
  ])('%s says where', (text, at) => {
    const [line] = paper('46 × 58', text).lines;
    if (line!.verdict === 'note') return;
    expect(line!.verdict).toBe('unread');
    expect(line!.unread!.at).toBe(at);
    expect(line!.unread!.reason).toMatch(/^[A-Z\d“√].*\.$/);
  });

  it('leaves the lines around it as they are', () => {
    expect(verdicts('46 × 58', '= 46 × (60 −', '= 46 × 60 − 46 × 2', '')).toEqual([
      'note unread',
      'rewrite lawful',
      'note note',
    ]);
  });

  it('is neither complete nor right where nothing was read', () => {
    const made = paper('46 × 58', 'I do not know');
    expect([made.complete, made.right]).toEqual([false, false]);
  });
});

it('shows a line that people read in two ways, and judges the way that is due', () => {
  const made = paper('6 ÷ 2 × (1+2)', '= 6 ÷ 2(1+2)');
  expect(made.lines[0]).toMatchObject({ ambiguous: true, verdict: 'lawful' });
});

it('takes any computation with an exact value, whether a method works it or not', () => {
  const read = readAsked('7 − 3 + 2 × 4');
  expect(read.ok && [read.asked.problem, `${read.asked.value}`]).toEqual([null, '12']);
  expect(readAsked('46')).toMatchObject({ ok: false });
  expect(readAsked('5 ÷ (3 − 3)')).toMatchObject({ ok: false });
});

describe('what is no working', () => {
  it.each(['||||| ||', '●●●○', '○ ○ ○', '[___|___]', '▭▭▭', '--|--|--', '☐☐☐', '/// //'])(
    'is a sketch that is kept and not judged: %s',
    (drawn) => {
      const made = paper('46 × 58', drawn, '= 2668');
      expect(made.lines[0]).toMatchObject({ kind: 'note', verdict: 'note', isSketch: true });
      expect(saysOf(made.lines[0]!)).toBe('A sketch; it is not judged.');
      expect(briefOf(made.lines[0]!)).toEqual({ sign: '–', words: 'not judged' });
      expect([made.complete, made.right]).toEqual([true, true]);
    },
  );

  it.each(['136 | 952', '□', '=', '((((', '|7', '38 +', '2 – 3'])('is no sketch: %s', (text) => {
    expect(paper('952 ÷ 7', text).lines[0]!.isSketch).toBe(false);
  });

  it.each(['□', '= □', '46 × 58 = □', '46 × 58 = ?'])(
    'is an open question that claims nothing: %s',
    (text) => {
      const made = paper('46 × 58', text);
      expect(made.lines[0]).toMatchObject({ kind: 'note', verdict: 'note', law: null });
      expect([made.complete, made.right]).toEqual([false, false]);
    },
  );
});
