import { some, spread, timeOf } from './timing.mjs';

/** Lines of numbers to six figures and eight parts: lawful, leaping, equal by their worth alone, and unequal ones. */
export function lines({ core, clock, tell }) {
  let state = 7;
  const draw = (least, most) => {
    state = (state * 48271) % 2147483647;
    return least + (state % (most - least + 1));
  };
  const number = () => draw(1000, 999_999);
  const places = (value) =>
    [...String(value)]
      .map((figure, k, all) => Number(figure) * 10 ** (all.length - 1 - k))
      .filter(Boolean);
  const makers = [
    () => {
      const parts = Array.from({ length: 8 }, number);
      const pairs = [0, 2, 4, 6].map((k) => parts[k] + parts[k + 1]);
      return [parts.join(' + '), pairs.join(' + ')];
    },
    () => {
      const [a, b] = [draw(12, 989), number()];
      return [
        `${a} × ${b}`,
        places(b)
          .map((part) => `${a} × ${part}`)
          .join(' + '),
      ];
    },
    () => {
      const [a, b] = [number(), number()];
      return [`${a} + ${b}`, [...places(a), ...places(b)].slice(0, 8).join(' + ')];
    },
    () => {
      const [a, b, c] = [number(), number(), draw(2, 9)];
      const most = a * c + b;
      const part = draw(1, most - 1);
      return [`${a} × ${c} + ${b}`, `${part} + ${most - part}`];
    },
    () => [`${number()} × ${draw(12, 99)} − ${number()}`, `${number()} + ${number()}`],
  ];
  const times = [];
  for (let k = 0; k < some(400, clock); k++) {
    const [problem, line] = makers[k % makers.length]();
    const { asked } = core.readAsked(problem);
    times.push(timeOf(() => core.judgeLines(asked, [`= ${line}`])));
  }
  tell('Own lines, judged one by one');
  tell(`  numbers to 6 figures, up to 8 parts            ${spread(times)} (goal 50)`);
}

/** Papers of every operation, each made a way with letters. */
const WAYS = [
  ['46 × 58', '= 46 × 60 − 46 × 2', '= 2760 − 92', '= 2668'],
  ['46 × 58', '= 40 × 50 + 40 × 8 + 6 × 50 + 6 × 8', '= 2000 + 320 + 300 + 48', '= 2668'],
  ['642 − 387', '387 +13→ 400 +242→ 642', '= 255'],
  ['368 + 475', '= 300 + 400 + 60 + 70 + 8 + 5', '= 700 + 130 + 13', '= 843'],
  ['952 ÷ 7', '= 700 ÷ 7 + 252 ÷ 7', '= 100 + 36', '= 136'],
  ['3/4 + 1/6', '= 9/12 + 2/12', '= 11/12'],
  ['(x+4)(3x−2)', '= 3x^2 − 2x + 12x − 8', '= 3x^2 + 10x − 8'],
];

/** Lines made a way with letters. */
export function ways({ core, clock, tell }) {
  const papers = WAYS.map(([problem, ...lines]) =>
    core.judgeLines(core.readAsked(problem).asked, lines),
  );
  const times = papers.flatMap((paper) =>
    Array.from({ length: some(8, clock) }, () =>
      timeOf(() => {
        if (!core.wayOf(paper).ok) throw new Error(`${paper.asked.text} is no way`);
      }),
    ),
  );
  tell('Ways with letters, away from the page');
  tell(`  one of every operation                         ${spread(times, 0)} (goal 500)`);
}
