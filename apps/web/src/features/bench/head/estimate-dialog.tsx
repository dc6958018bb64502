import {
  amountWriter,
  Exact,
  JUDGEMENTS,
  onPaper,
  proposedOperands,
  roundings,
  TEXT_LIMITS,
  ungrouped,
  type Notation,
  type Problem,
  type Speaker,
} from '@levee/core';
import { Button, TextField } from '@mui/material';
import { useState } from 'react';
import { useComparison } from '../../../store/comparison-store.ts';
import { useSession } from '../../../store/session-store.ts';
import { useSpeaker, useSteps, useWorked } from '../../../worked/use-worked.ts';
import { AskingDialog } from '../../../ui/asking-dialog.tsx';
import { worthOf } from './estimate-worth.ts';
import { record } from './estimate-strip.tsx';
import { operandLabel } from './operand-label.ts';

export function EstimateDialog() {
  const open = useSession((session) => session.dialog === 'estimate');
  const close = () => useSession.setState({ dialog: null });
  return open ? <EstimateForm close={close} /> : null;
}

/** `First factor`, `Minuend`, `Addend 3`. */
function fieldLabel({ kind, operands }: Problem, k: number): string {
  const label = operandLabel(kind, k, operands.length);
  return label.charAt(0).toUpperCase() + label.slice(1);
}

function EstimateForm({ close }: { readonly close: () => void }) {
  const { problem, comparison } = useWorked();
  const steps = useSteps();
  const kept = useComparison((state) => state.content.estimate);
  const [before] = useState<readonly string[]>(kept?.operands ?? proposedOperands(problem));
  const [operands, setOperands] = useState(before);
  const [judgement, setJudgement] = useState(kept?.judgement ?? '');
  const say = useSpeaker();
  const value = worthOf(problem.kind, operands, problem.base);
  const done = steps.every((step, k) => step === comparison.lanes[k]!.trace.steps.length);
  const set = (k: number, text: string) =>
    setOperands(operands.map((own, i) => (i === k ? typedFigures(text, say.words) : own)));
  const save = () => {
    if (!value || judgement.trim().length > TEXT_LIMITS.judgement) return;
    const beforeWorking = kept?.beforeWorking ?? steps.every((step) => step === 0);
    record({ operands, value: value.toString(), judgement: judgement.trim(), beforeWorking });
    close();
  };
  const hasTyped = operands.join(' ') !== before.join(' ') || judgement !== (kept?.judgement ?? '');
  return (
    <AskingDialog
      title="Estimate"
      keepText="Record"
      canKeep={value !== null}
      hasTyped={hasTyped}
      keep={save}
      close={close}
    >
      <OperandChoices operands={operands} set={set} />
      <p className="estimate-result" role="status">
        {value ? `≈ ${say.worth(value)}` : faultText(problem, operands)}
        {value && done && <Distance value={value} />}
      </p>
      <NearEnough judgement={judgement} judge={setJudgement} />
    </AskingDialog>
  );
}

/** A field for each number of the problem, with what it may be rounded to. */
function OperandChoices(props: {
  readonly operands: readonly string[];
  readonly set: (k: number, text: string) => void;
}) {
  const { operands, set } = props;
  const { problem } = useWorked();
  const say = useSpeaker();
  return problem.operands.map((operand, k) => (
    <OperandChoice
      key={k}
      label={fieldLabel(problem, k)}
      text={operands[k] ?? ''}
      say={say}
      choices={roundings(operand, problem.kind).map(({ rule, worth }) => ({
        rule,
        text: amountWriter(problem)(worth),
      }))}
      fault={worthOf('sum', [operands[k] ?? ''], problem.base) === null}
      base={problem.base}
      set={(text) => set(k, text)}
    />
  ));
}

/** Her own judgement in her own words, or in words that are often used. */
function NearEnough(props: {
  readonly judgement: string;
  readonly judge: (judgement: string) => void;
}) {
  const over = props.judgement.length > TEXT_LIMITS.judgement;
  return (
    <div className="near-enough">
      <TextField
        size="small"
        fullWidth
        label="How near is near enough?"
        value={props.judgement}
        error={over}
        helperText={over ? `at most ${TEXT_LIMITS.judgement} characters` : 'in your own words, or:'}
        onChange={(event) => props.judge(event.target.value)}
      />
      <span className="chips">
        {JUDGEMENTS.map((one) => (
          <button
            key={one}
            type="button"
            className="chip"
            aria-pressed={one === props.judgement}
            onClick={() => props.judge(one === props.judgement ? '' : one)}
          >
            {one}
          </button>
        ))}
      </span>
    </div>
  );
}

/** Figures as they are reckoned with: in one run, with a point before tenths. */
function typedFigures(text: string, notation: Notation): string {
  return ungrouped(text.trimStart(), notation).toUpperCase().replace(',', '.');
}

function faultText(problem: Problem, operands: readonly string[]): string {
  const odd = operands.findIndex((text) => worthOf('sum', [text], problem.base) === null);
  return odd < 0
    ? 'Nothing can be shared by 0; round the divisor to something.'
    : `The ${operandLabel(problem.kind, odd, problem.operands.length)} needs a number.`;
}

interface OperandChoiceProps {
  readonly label: string;
  readonly text: string;
  readonly choices: readonly { readonly rule: string; readonly text: string }[];
  readonly fault: boolean;
  readonly base: number;
  readonly say: Speaker;
  readonly set: (text: string) => void;
}

function OperandChoice({ label, text, choices, fault, base, say, set }: OperandChoiceProps) {
  return (
    <div className="operand-choice">
      <TextField
        label={label}
        value={onPaper(text, say.words)}
        size="small"
        error={fault}
        helperText={fault ? (base === 10 ? 'a number' : `a number in base ${base}`) : ' '}
        onChange={(event) => set(event.target.value)}
      />
      <div className="roundings">
        {choices.map((choice) => (
          <Button
            key={choice.rule}
            size="small"
            variant={choice.text === text ? 'contained' : 'outlined'}
            onClick={() => set(choice.text)}
          >
            {say.pointed(choice.text)} · {choice.rule}
          </Button>
        ))}
      </div>
    </div>
  );
}

/** How far an estimate is from the answer, once all papers are finished. */
function Distance({ value }: { readonly value: Exact }) {
  const { comparison } = useWorked();
  const say = useSpeaker();
  const difference = value.minus(comparison.lanes[0]!.trace.total);
  if (difference.isZero) return <> — exactly the answer</>;
  const above = difference.compare(Exact.ZERO) > 0;
  const amount = say.worth(above ? difference : difference.negate());
  return <>{` — ${amount} ${above ? 'above' : 'below'} the answer`}</>;
}
