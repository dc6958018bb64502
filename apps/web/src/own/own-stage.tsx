import { isOwnLines, lineBands, type LineBand, type OwnLinesMethod } from '@levee/core';
import { useMemo, type MouseEvent } from 'react';
import { PointableStage, type PointableStageProps } from '../paper/pointable-stage.tsx';
import { pin, useSession } from '../store/session-store.ts';
import { LineEditor } from './line-editor.tsx';
import { typeOn } from './typing.ts';
import './own.css';

/** Most pixels of a square, and what of the size of single figures lines have. */
const MOST = 40;
const OF_FIGURES = 0.87;

/** A paper on the bench: one that can be pointed at, and one of own lines that can be typed on. */
export function AnyStage(props: PointableStageProps) {
  const { method } = props.paper;
  return isOwnLines(method) ? (
    <OwnStage {...props} method={method} />
  ) : (
    <PointableStage {...props} />
  );
}

/** A paper of own lines; a click beside its figures, or on an empty line, begins to type there. */
function OwnStage(props: PointableStageProps & { readonly method: OwnLinesMethod }) {
  const { method, paper, step, most } = props;
  const { trace } = paper.lane;
  const bands = useMemo(() => lineBands(trace, method.judged(trace.problem)), [method, trace]);
  const typing = useSession((session) =>
    session.typing?.paper === paper.id ? session.typing : null,
  );
  const type = (event: MouseEvent) => {
    pin(null);
    typeOn(paper.id, { line: lineUnder(event, bands, paper.drawing.height) });
  };
  return (
    <PointableStage
      {...props}
      step={typing ? paper.last : step}
      most={Math.min(MOST, most * OF_FIGURES)}
      atCorner
      clickBeside={type}
      over={(square, room) =>
        typing && bands[Math.min(typing.line, bands.length - 1)] ? (
          <LineEditor
            key={`${typing.line} ${typing.caret ?? ''} ${method.own.lines.length}`}
            paper={paper.id}
            own={method.own}
            typing={typing}
            band={bands[Math.min(typing.line, bands.length - 1)]!}
            square={square}
            room={room}
          />
        ) : (
          method.own.lines.length === 0 && <BlankHint top={bands[0]!.y * square} />
        )
      }
    />
  );
}

function BlankHint({ top }: { readonly top: number }) {
  return (
    <p className="blank-hint caption" style={{ top }}>
      Click here, or press <kbd>e</kbd>, and type how it is worked, line by line.
    </p>
  );
}

/** The line that a click meets; one behind the last is a new one. */
function lineUnder(event: MouseEvent, bands: readonly LineBand[], height: number): number {
  const svg = event.currentTarget.querySelector('svg.sheet')!.getBoundingClientRect();
  const y = ((event.clientY - svg.top) / svg.height) * height;
  const at = bands.findIndex((band) => y < band.y + band.height);
  return at < 0 ? bands.length - 1 : at;
}
