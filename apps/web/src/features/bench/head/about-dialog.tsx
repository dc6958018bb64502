import { answerUnit, MAX_TAGS, TEXT_LIMITS, unitFaultText, type ProblemKind } from '@levee/core';
import { FormControlLabel, TextField } from '@mui/material';
import { useState } from 'react';
import { dispatch, useComparison } from '../../../store/comparison-store.ts';
import type { Content } from '../../../store/desk.ts';
import { changed } from '../../../store/edits.ts';
import { useWorked } from '../../../worked/use-worked.ts';
import { AskingDialog } from '../../../ui/asking-dialog.tsx';
import { operandLabel } from './operand-label.ts';

/** Most numbers that have a field for their unit each; more are given one unit together. */
const MOST_FIELDS = 4;

interface Draft {
  readonly title: string;
  readonly story: string;
  readonly tags: string;
  readonly unit: string;
  readonly units: readonly string[];
  readonly counted: boolean;
}

/** Title, story, tags and units of the comparison. */
export function AboutDialog(props: { readonly open: boolean; readonly close: () => void }) {
  return props.open ? <AboutForm close={props.close} /> : null;
}

function draftOf({ title, story, tags, unit, units, counted }: Content, count: number): Draft {
  const own = Array.from({ length: count }, (_, k) => units[k] ?? '');
  return { title, story, tags: tags.join(', '), unit, units: own, counted };
}

function tagsOf(text: string): readonly string[] {
  return [...new Set(text.split(',').map((tag) => tag.trim()))].filter((tag) => tag !== '');
}

/** What is wrong with a text that is too long; nothing is cut off. */
function overText(text: string, most: number): string | null {
  return text.length > most ? `${text.length} characters; ${most} are allowed` : null;
}

function faultsOf({ title, story, tags, unit, units }: Draft) {
  const all = tagsOf(tags);
  const long = all.find((tag) => tag.length > TEXT_LIMITS.tag);
  return {
    title: overText(title, TEXT_LIMITS.title),
    story: overText(story, TEXT_LIMITS.story),
    unit: overText(unit, TEXT_LIMITS.unit),
    units: units.map((own) => overText(own, TEXT_LIMITS.unit)),
    tags:
      all.length > MAX_TAGS
        ? `${all.length} tags; ${MAX_TAGS} are allowed`
        : long === undefined
          ? null
          : `“${long.slice(0, 20)}…” has more than ${TEXT_LIMITS.tag} characters`,
  };
}

interface TextOf {
  readonly key: 'title' | 'story' | 'tags';
  readonly label: string;
  readonly help: string;
}

const TEXTS: readonly TextOf[] = [
  { key: 'title', label: 'Title', help: 'How the comparison is found again.' },
  {
    key: 'story',
    label: 'Story',
    help: 'What the numbers stand for: sandbags on 46 pallets of 58.',
  },
  { key: 'tags', label: 'Tags', help: 'Separated by commas: spring course, zeros.' },
];

function Texts(props: {
  readonly draft: Draft;
  readonly faults: Readonly<Record<TextOf['key'], string | null>>;
  readonly set: (change: Partial<Draft>) => void;
}) {
  const { draft, faults, set } = props;
  return TEXTS.map(({ key, label, help }, i) => (
    <TextField
      key={key}
      label={label}
      helperText={faults[key] ?? help}
      error={faults[key] !== null}
      value={draft[key]}
      autoFocus={i === 0}
      onChange={(event) => set({ [key]: event.target.value })}
    />
  ));
}

function AboutForm({ close }: { readonly close: () => void }) {
  const content = useComparison((state) => state.content);
  const { problem } = useWorked();
  const [draft, setDraft] = useState(() => draftOf(content, problem.operands.length));
  const [before] = useState(draft);
  const set = (change: Partial<Draft>) => setDraft({ ...draft, ...change });
  const faults = faultsOf(draft);
  const isFaulty = [faults.title, faults.story, faults.unit, faults.tags, ...faults.units].some(
    Boolean,
  );
  const save = () => {
    if (isFaulty) return;
    dispatch(changed((now) => kept(now, draft, problem.kind)));
    close();
  };
  return (
    <AskingDialog
      title="About this comparison"
      keepText="Keep"
      canKeep={!isFaulty}
      hasTyped={JSON.stringify(draft) !== JSON.stringify(before)}
      keep={save}
      close={close}
      className="form-column"
    >
      <Texts draft={draft} faults={faults} set={set} />
      <Units
        draft={draft}
        faults={faults.units}
        unitFault={faults.unit}
        kind={problem.kind}
        set={set}
      />
      <FormControlLabel
        label="counted in wholes: they cannot be split, and there are never fewer than none"
        control={
          <input
            type="checkbox"
            checked={draft.counted}
            onChange={(event) => set({ counted: event.target.checked })}
          />
        }
      />
    </AskingDialog>
  );
}

/** The content with what was written; the unit of the answer follows from those of the numbers where none is written. */
function kept(content: Content, draft: Draft, kind: ProblemKind): Content {
  const units = draft.units.map((unit) => unit.trim());
  const made = answerUnit(kind, units);
  const unit = draft.unit.trim();
  return {
    ...content,
    title: draft.title.trim(),
    story: draft.story.trim(),
    tags: tagsOf(draft.tags),
    counted: draft.counted,
    units: units.some((one) => one !== '') ? units : [],
    unit: unit !== '' || !made.ok ? unit : made.unit.slice(0, TEXT_LIMITS.unit),
  };
}

function Units(props: {
  readonly draft: Draft;
  readonly kind: ProblemKind;
  readonly faults: readonly (string | null)[];
  readonly unitFault: string | null;
  readonly set: (change: Partial<Draft>) => void;
}) {
  const { draft, kind, faults, unitFault, set } = props;
  const made = answerUnit(
    kind,
    draft.units.map((unit) => unit.trim()),
  );
  const together = draft.units.length > MOST_FIELDS;
  const shown = together ? draft.units.slice(0, 1) : draft.units;
  const help = made.ok
    ? made.unit !== '' && draft.unit === ''
      ? `${made.unit}, from the units of the numbers`
      : 'What the answer counts or measures.'
    : unitFaultText(made);
  return (
    <div className="unit-fields">
      {shown.map((unit, k) => (
        <TextField
          key={k}
          size="small"
          label={
            together ? 'Unit of the numbers' : `Unit of ${operandLabel(kind, k, shown.length)}`
          }
          value={unit}
          error={faults[k] !== null}
          helperText={faults[k] ?? ' '}
          onChange={(event) =>
            set({
              units: draft.units.map((own, i) => (together || i === k ? event.target.value : own)),
            })
          }
        />
      ))}
      <TextField
        size="small"
        label="Unit of the answer"
        value={draft.unit}
        error={unitFault !== null || (!made.ok && draft.unit === '')}
        placeholder={made.ok ? made.unit : ''}
        helperText={unitFault ?? help}
        onChange={(event) => set({ unit: event.target.value })}
      />
    </div>
  );
}
