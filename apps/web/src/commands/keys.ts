import { COMMANDS, type Command } from './commands.ts';

/** The combination of a key event as commands name it: `Control+Shift+z`, `Shift+2`, `?`. */
export function combination(event: KeyboardEvent): string {
  const digit = /^Digit([1-9])$/.exec(event.code)?.[1];
  const key = digit ?? (event.key.length === 1 ? event.key.toLowerCase() : event.key);
  const spelled = digit !== undefined || event.key.length > 1 || /[a-z ]/.test(key);
  return [
    event.ctrlKey && 'Control',
    event.metaKey && 'Meta',
    event.altKey && 'Alt',
    event.shiftKey && spelled && 'Shift',
    key,
  ]
    .filter(Boolean)
    .join('+');
}

const BY_KEY = new Map<string, Command>(
  COMMANDS.flatMap((command) => command.keys.map((key) => [key, command] as const)),
);

/** The command that a key event asks for; none while typing, or for letters when those are off. */
export function commandFor(event: KeyboardEvent, letterKeys: boolean): Command | null {
  const key = combination(event);
  const found = BY_KEY.get(key) ?? null;
  if (!found || isTyping(event.target)) return null;
  if (key.length === 1 && key !== ' ' && !letterKeys) return null;
  if ((key === ' ' || /Enter$/.test(key) || key === 'Shift+ ') && isControl(event.target))
    return null;
  return found;
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

/** Controls that space and enter press, or that move with arrows of their own. */
function isControl(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.closest('button, a, [role="menuitem"]') !== null;
}

const NAMES: Record<string, string> = {
  ' ': 'space',
  ArrowLeft: '←',
  ArrowRight: '→',
  Control: 'Ctrl',
  Meta: '⌘',
  Escape: 'Esc',
};

/** A combination as people read it: `Shift+ ` is `Shift space`. */
export function keyText(combinationName: string): string {
  return combinationName
    .split(/\+(?=.)/)
    .map((part) => NAMES[part] ?? part)
    .join(' ');
}
