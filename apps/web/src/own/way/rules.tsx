import { readRule, ruleSays, type LetteredWay } from '@levee/core';
import { useState } from 'react';
import { Lettered } from './lettered.tsx';

interface RulesProps {
  readonly way: LetteredWay;
  readonly choices: Readonly<Record<string, readonly string[]>>;
  readonly choose: (letter: string, rule: string) => void;
}

/** Where every letter comes from; a rule that is chosen can be another one. */
export function Rules({ way, choices, choose }: RulesProps) {
  const letters = Object.keys(way.rules);
  // What could be chosen once stays open while a rule is typed that would follow from others.
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
  const isOpen = (letter: string) =>
    open.has(letter) || isChosen(way.rules[letter]!, choices[letter] ?? []);
  if (letters.length === 0) return null;
  return (
    <section className="way-rules" aria-labelledby="way-rules">
      <h3 id="way-rules">Where the letters come from</h3>
      <dl>
        {letters.map((letter) => (
          <div key={letter}>
            <dt>
              <i>{letter}</i>
            </dt>
            <dd>
              {isOpen(letter) ? (
                <Rule
                  letter={letter}
                  rule={way.rules[letter]!}
                  choices={choices[letter] ?? []}
                  choose={(rule) => {
                    setOpen(new Set([...open, letter]));
                    choose(letter, rule);
                  }}
                />
              ) : (
                <Lettered text={words(way.rules[letter]!)} way={way} />
              )}
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

/** Rules that follow from others are told; named ones, and those with a number of their own, can be chosen. */
function isChosen(rule: string, choices: readonly string[]): boolean {
  return choices.length > 0 || /\d/.test(rule);
}

function words(rule: string): string {
  const read = readRule(rule);
  return read ? ruleSays(read) : rule;
}

const OWN = 'own';

function Rule(props: {
  readonly letter: string;
  readonly rule: string;
  readonly choices: readonly string[];
  readonly choose: (rule: string) => void;
}) {
  const { letter, rule, choices, choose } = props;
  const [typed, setTyped] = useState<string | null>(null);
  const all = choices.includes(rule) ? choices : [rule, ...choices];
  const isRule = typed === null || readRule(typed) !== null;
  return (
    <>
      <select
        aria-label={`Where ${letter} comes from`}
        value={typed === null ? rule : OWN}
        onChange={({ target }) => {
          if (target.value === OWN) return setTyped(rule);
          setTyped(null);
          choose(target.value);
        }}
      >
        {all.map((one) => (
          <option key={one} value={one}>
            {words(one)}
          </option>
        ))}
        <option value={OWN}>a rule of your own …</option>
      </select>
      {typed !== null && (
        <input
          autoFocus
          aria-label={`A rule of your own for ${letter}`}
          aria-invalid={!isRule}
          value={typed}
          onChange={({ target }) => {
            setTyped(target.value);
            if (readRule(target.value)) choose(target.value);
          }}
        />
      )}
      {!isRule && <span role="alert">Such as 60, 10 × b or up-to-hundred(b).</span>}
    </>
  );
}
