import { addressText, schoolsOf, slipIdea, type SchoolSpec } from '@levee/core';
import { memo, useEffect, useRef, useState } from 'react';
import { dispatch } from '../../../store/comparison-store.ts';
import { withoutSlip, withPaper, withSchool } from '../../../store/content.ts';
import { Menu } from '../../../ui/menu.tsx';
import { useSession } from '../../../store/session-store.ts';
import { changed, laidInPlace } from '../../../store/edits.ts';
import { useChoice, useSpeaker, useWorked } from '../../../worked/use-worked.ts';
import { whereWords } from '../../../worked/where-words.ts';
import { slipNames } from '../../../worked/slip-names.ts';
import type { Paper } from '../../../worked/work.ts';
import { HopsButton } from './hops-strip.tsx';
import { methodGroups, type Option } from './method-groups.ts';

interface ChoiceProps {
  readonly className: string;
  readonly text: string;
  readonly name: string;
  readonly groups: () => readonly (readonly Option[])[];
  readonly chosen: string;
  readonly choose: (id: string) => void;
  /** Opened by something else than its own word, and how that is let go of. */
  readonly opened?: boolean;
  readonly letGo?: () => void;
}

/** A word that opens the list it was chosen from. */
function Choice(props: ChoiceProps) {
  const { className, text, name, groups, chosen, choose, opened = false, letGo } = props;
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const word = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (opened) setAnchor(word.current);
  }, [opened]);
  return (
    <>
      <button
        ref={word}
        type="button"
        className={className}
        title={text}
        aria-haspopup="menu"
        aria-label={`${name}: ${text}`}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {text}
      </button>
      <Menu
        anchor={anchor}
        close={() => {
          setAnchor(null);
          letGo?.();
        }}
        groups={() =>
          groups().map((options) =>
            options.map((option) => ({
              run: () => choose(option.id),
              ...option,
              selected: option.id === chosen,
            })),
          )
        }
      />
    </>
  );
}

/** The method's name; every method can be laid in its place. */
export const MethodMenu = memo(function MethodMenu({ paper }: { readonly paper: Paper }) {
  const { problem } = useWorked();
  const listed = useSession((session) => session.listing === paper.id);
  const [withOthers, showOthers] = useState(false);
  const choose = (id: string) => {
    if (id === paper.method.id) return;
    dispatch(laidInPlace(paper.id, id));
  };
  return (
    <Choice
      className="method-name"
      text={paper.title}
      name="Method"
      groups={() => methodGroups(problem, withOthers, () => showOthers(true))}
      chosen={paper.method.id}
      choose={choose}
      opened={listed}
      letGo={() => {
        showOthers(false);
        useSession.setState({ listing: null });
      }}
    />
  );
});

export const SchoolMenus = memo(function SchoolMenus({ paper }: { readonly paper: Paper }) {
  const order = useChoice(paper)?.order.length ?? 0;
  return (
    <span className="schools">
      {schoolsOf(paper.method, paper.lane.trace.problem).map((school) => (
        <SchoolMenu key={school.id} paper={paper} school={school} />
      ))}
      <HopsButton paper={paper} />
      {order > 0 && (
        <button
          type="button"
          className="school own"
          title="The terms are worked in her order. A sum does not depend on the order of its addends, so the total is the same. Press to go back to the method’s own order."
          onClick={() =>
            dispatch(changed((content) => withPaper(content, paper.id, { order: [] })))
          }
        >
          own order ×
        </button>
      )}
      <SlipChips paper={paper} />
    </span>
  );
});

/** Slips that are made on purpose on a paper; pressing one takes it back. */
function SlipChips({ paper }: { readonly paper: Paper }) {
  const slips = useChoice(paper)?.slips ?? [];
  return slipNames(paper.method, slips).map(({ address, label, mechanism }) => (
    <button
      key={address}
      type="button"
      className="school own slip"
      title={`${mechanism} Made on purpose (${address}). Press to take it back.`}
      onClick={() => dispatch(changed((content) => withoutSlip(content, paper.id, address)))}
    >
      slip: {label} ×
    </button>
  ));
}

/** Every chance of a slip on this paper; a chosen one is made, and the paper says so. */
export const SlipMenu = memo(function SlipMenu({ paper }: { readonly paper: Paper }) {
  const say = useSpeaker();
  const slips = useChoice(paper)?.slips ?? [];
  const { trace } = paper.lane;
  if (trace.opportunities.length === 0) return <span />;
  const options = () =>
    trace.opportunities.map((chance): Option => {
      const own = paper.method.slips.find(({ id }) => id === chance.slip);
      const { label, mechanism } = own ?? slipIdea(chance.slip);
      const where = whereWords(chance, trace, say);
      return { id: addressText(chance), label: `${label} (${where})`, note: mechanism };
    });
  const choose = (address: string) =>
    dispatch(
      changed((content) =>
        withPaper(content, paper.id, { slips: [...new Set([...slips, address])] }),
      ),
    );
  return (
    <Choice
      className="school put-slip"
      text="+ slip"
      name="Put a slip on this paper"
      groups={() => [options()]}
      chosen=""
      choose={choose}
    />
  );
});

function SchoolMenu({ paper, school }: { readonly paper: Paper; readonly school: SchoolSpec }) {
  const { papers, problem } = useWorked();
  const chosen = paper.lane.trace.school[school.id] ?? '';
  const option = school.options.find(({ id }) => id === chosen);
  const alike = papers.filter(({ method }) =>
    schoolsOf(method, problem).some(
      ({ id, options }) => id === school.id && options.some((one) => one.id === chosen),
    ),
  );
  const others = alike.filter(({ lane }) => lane.trace.school[school.id] !== chosen);
  const onAll: Option = {
    id: 'on all papers',
    label: `“${option?.label ?? chosen}” on all ${alike.length} papers that have it`,
    run: () =>
      dispatch(
        changed((content) =>
          others.reduce((made, { id }) => withSchool(made, id, school.id, chosen), content),
        ),
      ),
  };
  return (
    <Choice
      className="school"
      text={`${school.label.toLowerCase()} ${option?.label ?? chosen}`}
      name={school.label}
      groups={() => [
        school.options.map(({ id, label, reason }) => ({ id, label, note: reason })),
        others.length > 0 ? [onAll] : [],
      ]}
      chosen={chosen}
      choose={(id) => dispatch(changed((content) => withSchool(content, paper.id, school.id, id)))}
    />
  );
}
