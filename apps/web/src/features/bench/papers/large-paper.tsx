import AddIcon from '@mui/icons-material/Add';
import CloseFullscreenIcon from '@mui/icons-material/CloseFullscreen';
import FitScreenIcon from '@mui/icons-material/FitScreen';
import RemoveIcon from '@mui/icons-material/Remove';
import { IconCommand } from '../../../commands/icon-command.tsx';
import { Announcer } from '../../../paper/announcer.tsx';
import { AnySentence } from '../../../own/any-sentence.tsx';
import { AnyStage } from '../../../own/own-stage.tsx';
import { VoiceSwitch } from '../../../paper/voice-switch.tsx';
import { useSession } from '../../../store/session-store.ts';
import { ProblemText } from '../../../ui/problem-text.tsx';
import { useComparison } from '../../../store/comparison-store.ts';
import { useSteps } from '../../../worked/use-worked.ts';
import { useLit } from '../../../paper/use-lit.ts';
import type { Paper } from '../../../worked/work.ts';
import { Transport } from '../lanes/transport.tsx';
import { usePinch } from './use-pinch.ts';
import './large-paper.css';

/** Most pixels of a square. */
const MOST = 60;

/** One paper over the whole view, sized and moved by keys, wheel and pinch. */
export function LargePaper({ paper }: { readonly paper: Paper }) {
  const step = useSteps()[paper.index]!;
  const lit = useLit()[paper.index]!;
  const problem = useComparison(({ content }) => content.problem);
  const zoom = useSession((session) => session.zoom);
  const pinch = usePinch();
  return (
    <main className="bench large-paper" ref={pinch} data-paper={paper.index}>
      <header className="large-head">
        <h1>
          <ProblemText problem={problem} /> <span className="caption">{paper.method.name}</span>
        </h1>
        <span className="count figures">
          {step} of {paper.last}
        </span>
        <span className="spacer" />
        <VoiceSwitch />
        <span className="icons">
          <IconCommand id="zoom-out" icon={<RemoveIcon />} />
          <IconCommand id="zoom-fit" icon={<FitScreenIcon />} />
          <IconCommand id="zoom-in" icon={<AddIcon />} />
          <IconCommand id="large" icon={<CloseFullscreenIcon />} />
        </span>
      </header>
      <AnyStage paper={paper} step={step} lit={lit} most={MOST} zoom={zoom} />
      <footer className="large-foot">
        <AnySentence paper={paper} step={step} />
        <Transport />
      </footer>
      <Announcer />
    </main>
  );
}
