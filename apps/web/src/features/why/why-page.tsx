import {
  agreementLatex,
  agreementMarkdown,
  amountText,
  areaTotals,
  cost,
  inNotation,
  leakText,
  lawName,
  rootOf,
  squaredTex,
  texText,
  valueText,
  movesLatex,
  numeralText,
  numeralValue,
  termTextsOf,
  registry,
  sameAmounts,
  sayPlain,
  type AreaTotals,
  Exact,
  type Agreement,
  type MethodAgreement,
  type Notation,
} from '@levee/core';
import { Button } from '@mui/material';
import { useComparison } from '../../store/comparison-store.ts';
import { download, fileName } from '../../ui/download.ts';
import { ProblemText } from '../../ui/problem-text.tsx';
import { Tex } from '../../ui/tex.tsx';
import { Notices } from '../../ui/notices.tsx';
import { useNotation, useSpeaker, useWorked } from '../../worked/use-worked.ts';
import { copy } from '../bench/agree-panel.tsx';
import { certified } from '../../worked/certified.ts';
import type { Certified } from '../../worked/certify.ts';
import { costItems } from '../bench/cost-strip.tsx';
import { MathText } from '../../ui/math-text.tsx';
import { Bridge } from './bridge.tsx';
import { moveLines } from './move-lines.ts';
import { PaperTable } from '../../ui/paper-table.tsx';
import './why.css';

/** Why the methods agree: the same terms, bracketed in each method's way, law by law. */
export function WhyPage() {
  const made = certified(useWorked().comparison);
  const { certificate } = made;
  const { title, problem } = useComparison((state) => state.content);
  const notation = useNotation();
  const names = { method: (id: string) => registry.get(id).name, notation };
  const name = (ending: string) => fileName(title || problem, ending);
  return (
    <main className="why">
      <header className="why-head">
        <h1>
          Why <Equation certificate={certificate} problem={problem} />{' '}
          {certificate.methods.some(({ leak }) => leak)
            ? 'as far as each method goes'
            : 'by every method'}
        </h1>
        <p className="caption" role="status">
          {checkedText(made)}
        </p>
        <p className="chips">
          <Button
            size="small"
            variant="outlined"
            onClick={() =>
              download(name('md'), agreementMarkdown(certificate, names), 'text/markdown')
            }
          >
            Markdown
          </Button>
          <Button
            size="small"
            variant="outlined"
            onClick={() => download(name('tex'), agreementLatex(certificate, names), 'text/x-tex')}
          >
            LaTeX
          </Button>
          <Button
            size="small"
            variant="outlined"
            onClick={() =>
              download(
                name('agreement.json'),
                JSON.stringify(certificate, null, 2),
                'application/json',
              )
            }
          >
            Certificate (JSON)
          </Button>
          <Button
            size="small"
            variant="outlined"
            onClick={() => void copy(agreementMarkdown(certificate, names))}
          >
            Copy
          </Button>
        </p>
      </header>
      <Terms certificate={certificate} />
      <div className="why-methods">
        {certificate.methods.map((method, k) => (
          <Method key={k} method={method} certificate={certificate} notation={notation} />
        ))}
      </div>
      <div className="why-more">
        <div>
          <SameAmounts />
          <BothWays />
          <BackToDividend />
          <BackToNumber />
          <Bridge />
        </div>
        <Costs />
      </div>
      <Notices />
    </main>
  );
}

/** What was checked, and what was not. */
export function checkedText({ certificate, fault }: Certified): string {
  if (fault !== null) return `The independent check does not confirm this certificate: ${fault}.`;
  const brief = certificate.methods.filter((method) => method.brief);
  const names = brief.map(({ method }) => registry.get(method).shortName).join(', ');
  return [
    'Every line below was checked again from the certificate alone ✓',
    'Its worth, its terms, and that what changes is an instance of the law beside it.',
    ...certificate.methods.flatMap(({ method, leak }) =>
      leak
        ? [`${registry.get(method).shortName} has a slip: its lines end before step ${leak.step}.`]
        : [],
    ),
    ...(brief.length > 0
      ? [`In brief, so that only brackets and total were checked: ${names}.`]
      : []),
    'Not checked here: the wording, and where a mark stands on its paper.',
  ].join(' ');
}

/** The problem with its value; of a root its square, which every account holds. */
function Equation(props: { readonly certificate: Agreement; readonly problem: string }) {
  const { certificate, problem } = props;
  const notation = useNotation();
  const value = inNotation(valueText(certificate), notation);
  if (certificate.kind === 'root')
    return <Tex source={`${squaredTex(texText(problem, notation))} = ${value}`} />;
  return (
    <>
      <ProblemText problem={problem} /> = <MathText text={value} />
    </>
  );
}

const MOST_TERMS = 36;

/** The terms that all methods share. */
function Terms({ certificate }: { readonly certificate: Agreement }) {
  const { terms } = certificate;
  const signs = useNotation();
  return (
    <section className="why-terms">
      <h2>{terms.length === 1 ? 'The one common term' : `The ${terms.length} common terms`}</h2>
      <p className="figures">
        {terms.slice(0, MOST_TERMS).map(({ id, text, worth }) => (
          <span key={id} className="term">
            <MathText text={inNotation(termText(text, amountText(worth, certificate)), signs)} />
          </span>
        ))}
        {terms.length > MOST_TERMS && (
          <span className="caption">and {terms.length - MOST_TERMS} more</span>
        )}
      </p>
    </section>
  );
}

/** A term with what it is worth; a part of a sum is its own worth. */
function termText(text: string, worth: string): string {
  return text === worth ? text : `${text} = ${worth}`;
}

interface MethodProps {
  readonly method: MethodAgreement;
  readonly certificate: Agreement;
  readonly notation: Notation;
}

function Method({ method, certificate, notation }: MethodProps) {
  const name = registry.get(method.method).name;
  const latex = movesLatex(certificate.problem, method.moves, termTextsOf(certificate), notation);
  return (
    <section className="why-method" aria-label={name}>
      <h2>
        {name}{' '}
        <button type="button" className="link caption" onClick={() => void copy(latex)}>
          copy LaTeX
        </button>
      </h2>
      <ol>
        {moveLines(method, certificate, notation).map(({ tex, law }, i) => (
          <li key={i}>
            <span className="why-line">
              <Tex source={tex} />
            </span>
            <span className="law">{lawName(law, certificate)}</span>
          </li>
        ))}
      </ol>
      {method.leak && (
        <p className="caption">
          <MathText text={leakText(method.leak, (text) => inNotation(text, notation))} />
        </p>
      )}
    </section>
  );
}

/** A number with a sign of its own, or a sum, in a bracket. */
function closed(text: string): string {
  return /^−| /.test(text) ? `(${text})` : text;
}

/** Row totals against column totals: the rectangle added both ways. */
function BothWays() {
  const { comparison, problem } = useWorked();
  const say = useSpeaker();
  const { times } = say;
  const totals = areaTotals(comparison.space);
  const [first, second] = problem.operands.map((operand) =>
    operand.terms ? `(${say.worth(numeralValue(operand))})` : say.pointed(numeralText(operand)),
  );
  if (!totals || totals.rows.length === 0) return null;
  const text = (amount: Exact) => say.worth(amount);
  const sum = (strips: AreaTotals['rows'], name: (part: string) => string, total: Exact) => (
    <p className="figures">
      <MathText
        text={[...strips]
          .reverse()
          .map(({ text: part, worth }) => `${name(closed(say.pointed(part)))} = ${text(worth)}`)
          .join(', ')}
      />
      :{' '}
      <MathText
        text={[...strips]
          .reverse()
          .map(({ worth }) => closed(text(worth)))
          .join(' + ')}
      />{' '}
      ={' '}
      <strong>
        <MathText text={text(total)} />
      </strong>
    </p>
  );
  return (
    <section className="why-same" aria-label="Both ways">
      <h2>The rectangle added both ways</h2>
      {sum(totals.rows, (part) => `${first} ${times} ${part}`, totals.rowSum)}
      {sum(totals.columns, (part) => `${part} ${times} ${second}`, totals.columnSum)}
      <p className="caption">
        {totals.rowSum.equals(totals.columnSum)
          ? 'Row totals and column totals agree ✓ This finds a slip in adding; a wrong product it cannot find, since both ways add it.'
          : 'Row totals and column totals differ.'}
      </p>
    </section>
  );
}

/** Of a quotient: what each paper found, times the divisor, and what it left, back to the dividend. */
function BackToDividend() {
  const { papers, problem } = useWorked();
  const say = useSpeaker();
  if (problem.kind !== 'quotient') return null;
  const [dividend, divisor] = problem.operands.map(numeralValue) as [Exact, Exact];
  const text = (amount: Exact) => say.worth(amount);
  return (
    <section className="why-same" aria-label="Back to the dividend">
      <h2>Quotient × divisor + what is left</h2>
      {papers.map(({ index, method, levels }) => {
        const { written, owed } = levels.at(-1)!;
        const left = owed.times(divisor);
        const whole = written.times(divisor).plus(left);
        return (
          <p key={index} className="figures">
            {text(written)} {say.times} {text(divisor)} + {text(left)} ={' '}
            <strong>{text(whole)}</strong> {whole.equals(dividend) ? '✓' : '✗'}{' '}
            <span className="caption">{method.shortName}</span>
          </p>
        );
      })}
    </section>
  );
}

/** Of a root: what each paper found, squared, and what it left, back to the number. */
function BackToNumber() {
  const { papers, problem } = useWorked();
  const say = useSpeaker();
  if (problem.kind !== 'root') return null;
  return (
    <section className="why-same" aria-label="Back to the number">
      <h2>Root × root + what is left</h2>
      {papers.map(({ index, method, lane }) => {
        const { root, under, left } = rootOf(lane.trace);
        const made = root.times(root).times(under).plus(left);
        const [side, inside, rest] = [root, under, left].map((amount) => say.worth(amount));
        return (
          <p key={index} className="figures">
            {side} {say.times} {side}
            {under.equals(Exact.ONE) ? '' : ` ${say.times} ${inside}`}
            {left.isZero ? '' : ` + ${rest}`} = <strong>{say.worth(made)}</strong>{' '}
            {made.equals(lane.trace.total) ? '✓' : '✗'}{' '}
            <span className="caption">{method.shortName}</span>
          </p>
        );
      })}
    </section>
  );
}

/** What each method costs on this problem, side by side. */
function Costs() {
  const { papers } = useWorked();
  const say = useSpeaker();
  const columns = papers.map(({ lane: { trace } }) => costItems(cost(trace), trace.problem, say));
  const rows = columns[0]!.map(({ name }, row) => ({
    name,
    cells: columns.map((items) => items[row]!.amount),
  }));
  return <PaperTable title="What each costs here" corner="counted from the work" rows={rows} />;
}

/** Amounts that at least two methods gather into one number. */
function SameAmounts() {
  const { comparison, papers } = useWorked();
  const say = useSpeaker();
  const shown = sameAmounts(comparison).filter(
    ({ terms }) => terms.size > 1 && terms.size < comparison.space.size,
  );
  if (shown.length === 0) return null;
  const rows = shown.map(({ worth, members }) => ({
    name: say.worth(worth),
    cells: papers.map(
      (paper) =>
        members
          .filter((member) => member.lane === paper.index)
          .map(({ group }) => sayPlain(paper.method.phrases, group.phrase, 'value', say))
          .join('; ') || '—',
    ),
  }));
  return <PaperTable title="The same amount in different methods" corner="amount" rows={rows} />;
}
