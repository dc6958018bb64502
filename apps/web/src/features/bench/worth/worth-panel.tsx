import {
  numberText,
  numeralValue,
  sayPlain,
  termShape,
  type Counterpart,
  type Exact,
  type Mark,
  type Problem,
  type Speaker,
  type Subject,
  type TermSet,
} from '@levee/core';
import { FramedList } from '../../../paper/framed-list.tsx';
import { samePointed, useSession } from '../../../store/session-store.ts';
import { lightOf, type Light } from '../../../worked/lit.ts';
import { MathText } from '../../../ui/math-text.tsx';
import { useSpeaker, useSteps, useSubject, useWorked } from '../../../worked/use-worked.ts';
import type { Paper, Worked } from '../../../worked/work.ts';
import { entryStory } from './entry-story.ts';
import { useCommand } from '../../../commands/scene.tsx';
import './worth.css';

/** What the pointed-at amount is worth, of which terms it is, and where it lives in the other methods. */
export function WorthPanel() {
  const subject = useSubject();
  const pinned = useSession((session) => session.pinned);
  return (
    <section className="panel worth" aria-label="What this is worth" aria-live="polite">
      <h2>
        What this is worth {pinned && <span className="caption">held fast · Esc lets go</span>}
      </h2>
      <FramedList />
      {subject ? <Found subject={subject} /> : <Hint />}
    </section>
  );
}

function Hint() {
  return (
    <p className="caption">
      Point at any figure, cell or region to see its worth and where the same amount lives on the
      other papers. A click holds it fast; with the keyboard, Tab to a paper or the picture and use
      the arrows.
    </p>
  );
}

function Found({ subject }: { readonly subject: Subject }) {
  const worked = useWorked();
  const steps = useSteps();
  const say = useSpeaker();
  const workNext = useCommand('work-next');
  const frame = useCommand('frame');
  const isFramed = useSession(
    ({ framed, pointed }) => pointed !== null && framed.some(({ at }) => samePointed(at, pointed)),
  );
  const paper = subject.lane === null ? null : worked.papers[subject.lane]!;
  const story =
    paper && subject.entry ? entryStory(paper, subject.entry, steps[paper.index]!, say) : null;
  return (
    <div className="worth-body">
      <p className="worth-line">
        <span className="worth-figure figures">
          <MathText text={shareText(subject.worth, worked.problem, say)} />
        </span>
        {say.base !== 10 && <span className="caption">{subject.worth.toString()} in base ten</span>}
        <span className="caption">
          <MathText
            text={paper ? (story?.name ?? groupName(paper, subject, say)) : 'on the shared picture'}
          />
        </span>
        <button
          type="button"
          className="chip"
          aria-pressed={isFramed}
          disabled={!frame.can}
          title={frame.whyNot ?? undefined}
          onClick={frame.run}
        >
          {isFramed ? 'framed' : 'frame it'} · i
        </button>
        {workNext.can && (
          <button type="button" className="chip" onClick={workNext.run}>
            work this next · w
          </button>
        )}
      </p>
      <p className="worth-terms figures">
        <PartOf subject={subject} paper={paper} say={say} />
        <MathText text={beyondText(paper, subject, say) ?? termsLine(worked, subject.terms, say)} />
      </p>
      {story?.travels && <p className="caption">{story.travels}</p>}
      <Counterparts subject={subject} />
    </div>
  );
}

function groupName(paper: Paper, { group }: Subject, say: Speaker): string {
  return group ? sayPlain(paper.method.phrases, group.phrase, 'value', say) : '';
}

/** For a figure that is only some of its terms' amount: the number that it is a figure of. */
function PartOf(props: {
  readonly subject: Subject;
  readonly paper: Paper | null;
  readonly say: Speaker;
}) {
  const { subject, paper, say } = props;
  const { worth, terms, group } = subject;
  if (!paper || worth.equals(terms.worth()) || terms.isEmpty) return null;
  if (!group || group.worth.equals(worth)) return <span className="caption">out of </span>;
  return (
    <span className="caption">
      in{' '}
      <strong>
        <MathText text={say.worth(group.worth)} />
      </strong>
      , <MathText text={sayPlain(paper.method.phrases, group.phrase, 'value', say)} />:{' '}
    </span>
  );
}

/** An amount in figures; a share whose figures do not end is told as what is shared: `200 ÷ 7`. */
function shareText(amount: Exact, { kind, operands, base }: Problem, say: Speaker): string {
  const ends = !numberText(amount, base).includes('/');
  const by = operands[1];
  if (termShape(kind) !== 'pieces' || ends || !by) return say.worth(amount);
  const divisor = numeralValue(by);
  return `${say.worth(amount.times(divisor))} ÷ ${say.worth(divisor)}`;
}

/** What an amount holds beyond the edge of the problem, where it holds nothing else; null for any other. */
function beyondText(paper: Paper | null, { entry, terms }: Subject, say: Speaker): string | null {
  const mark = paper && entry ? paper.lane.find(entry) : undefined;
  if (mark?.standing !== 'marked' || !terms.isEmpty || !mark.beyond) return null;
  const back = beforeIt(paper!, mark) ?? say.worth(mark.worth.absolute());
  return mark.worth.isNegative
    ? `${back}, taken back: in no other method, since it cancels with what was laid too far`
    : `${back}, laid too far: in no other method, since it is taken back`;
}

/** What a mark stands for on the line before it: `46 × 2` for the 92 that it makes. */
function beforeIt({ lane }: Paper, mark: Mark): string | null {
  const step = lane.trace.steps.find(({ gives }) => gives.includes(mark));
  const texts = (step?.takes ?? []).map((id) => lane.find(id)?.text.replace(/^[−-]/, ''));
  return texts.length === 1 && texts[0] ? texts[0] : null;
}

const MOST_TERMS = 5;

/** `40 × 8 + 6 × 8 = 320 + 48`, or how many terms there are. */
function termsLine(
  { comparison: { space }, problem }: Worked,
  terms: TermSet,
  say: Speaker,
): string {
  if (terms.isEmpty) return 'no term: it is worth nothing';
  if (terms.size > MOST_TERMS)
    return `of ${terms.size} terms, together ${say.worth(terms.worth())}`;
  const indices = [...terms.indices()].reverse();
  const products = indices.map((index) =>
    say.pointed(space.text(index)).replaceAll('×', ` ${say.times} `),
  );
  const worths = indices.map((index) => say.worth(space.worth(index)));
  switch (termShape(problem.kind)) {
    case 'products':
      return `${signedSum(products)} = ${signedSum(worths)}`;
    case 'parts':
      return indices.length === 1
        ? worths[0]!
        : `${signedSum(worths)} = ${say.worth(terms.worth())}`;
    case 'pieces':
      if (products.length === 1 && products[0] === worths[0]) return worths[0]!;
      return `${products.join(' + ')} = ${shareText(terms.worth(), problem, say)}`;
  }
}

/** `40 − 80`: amounts with their signs between them. */
function signedSum(worths: readonly string[]): string {
  return worths.reduce((line, worth) =>
    worth.startsWith('−') ? `${line} − ${worth.slice(1)}` : `${line} + ${worth}`,
  );
}

const HEADINGS: Record<Exclude<Light, 'point'>, string> = {
  same: 'exactly the same amount',
  terms: 'the same terms, not gathered yet',
  part: 'only inside a larger amount, or in parts',
};

function Counterparts({ subject }: { readonly subject: Subject }) {
  const { papers } = useWorked();
  const steps = useSteps();
  const found = subject.counterparts
    .filter((counterpart) => counterpart.lane !== subject.lane)
    .flatMap((counterpart) => {
      const light = lightOf(papers[counterpart.lane]!, counterpart, steps[counterpart.lane]!);
      return light && light !== 'point' ? [{ counterpart, light }] : [];
    });
  return (
    <>
      {(['same', 'terms', 'part'] as const).map((light) => {
        const here = found.filter((one) => one.light === light);
        if (here.length === 0) return null;
        return (
          <div key={light} className="counterparts">
            <span className="caption">{HEADINGS[light]}</span>
            {here.map(({ counterpart }) => (
              <CounterpartChip
                key={counterpart.lane}
                paper={papers[counterpart.lane]!}
                counterpart={counterpart}
                light={light}
              />
            ))}
          </div>
        );
      })}
    </>
  );
}

interface ChipProps {
  readonly paper: Paper;
  readonly counterpart: Counterpart;
  readonly light: Light;
}

const MOST_NAMES = 2;

function CounterpartChip({ paper, counterpart, light }: ChipProps) {
  const say = useSpeaker();
  const names = counterpart.groups
    .slice(0, MOST_NAMES)
    .map((group) => sayPlain(paper.method.phrases, group.phrase, 'value', say));
  const more = counterpart.groups.length - names.length;
  const text = [...names, ...(more > 0 ? [`${more} more`] : [])];
  return (
    <span className={`counterpart ${light}`}>
      <strong>{paper.title}</strong> ·{' '}
      <MathText
        text={say.list(text) || (light === 'same' ? 'a number of the question' : 'still owed')}
      />
    </span>
  );
}
