import { Button, ToggleButton, ToggleButtonGroup } from '@mui/material';
import { useCommand } from '../../commands/scene.tsx';
import type { Paper } from '../../worked/work.ts';
import {
  EXTENTS,
  PAGES,
  PARTS,
  partsOf,
  toggled,
  type Choices,
  type Extent,
  type PageSize,
} from './choices.ts';

interface PrintControlsProps {
  readonly papers: readonly Paper[];
  readonly choices: Choices;
  readonly choose: (change: Partial<Choices>) => void;
}

/** What is printed and on which paper; it stands on the screen alone. */
export function PrintControls({ papers, choices, choose }: PrintControlsProps) {
  const bench = useCommand('bench');
  return (
    <div className="print-controls">
      <Button variant="contained" onClick={() => window.print()}>
        Print
      </Button>
      <OneOf
        label="Papers"
        options={EXTENTS}
        value={choices.extent}
        choose={(extent: Extent) => choose({ extent })}
      />
      <OneOf
        label="Page"
        options={PAGES}
        value={choices.page}
        choose={(page: PageSize) => choose({ page })}
      />
      <Button onClick={bench.run}>Back to the bench</Button>
      <div className="chips" role="group" aria-label="Parts of the page">
        {partsOf(choices.extent).map((part) => (
          <Chip
            key={part}
            name={PARTS[part]}
            on={choices.parts.has(part)}
            press={() => choose({ parts: toggled(choices.parts, part) })}
          />
        ))}
      </div>
      {papers.length > 1 && (
        <div className="chips" role="group" aria-label="Papers that are printed">
          {papers.map(({ id, title }) => (
            <Chip
              key={id}
              name={title}
              on={!choices.without.has(id)}
              press={() => choose({ without: toggled(choices.without, id) })}
            />
          ))}
        </div>
      )}
    </div>
  );
}

function Chip(props: { readonly name: string; readonly on: boolean; readonly press: () => void }) {
  return (
    <button type="button" className="chip" aria-pressed={props.on} onClick={props.press}>
      {props.name}
    </button>
  );
}

function OneOf<T extends string>(props: {
  readonly label: string;
  readonly options: Readonly<Record<T, string>>;
  readonly value: T;
  readonly choose: (one: T) => void;
}) {
  const { label, options, value, choose } = props;
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      value={value}
      aria-label={label}
      onChange={(_, chosen: T | null) => chosen && choose(chosen)}
    >
      {(Object.entries(options) as [T, string][]).map(([one, name]) => (
        <ToggleButton key={one} value={one}>
          {name}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
