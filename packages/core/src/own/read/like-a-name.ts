/** Words that begin a note and are no names. */
const WORDS = new Set(
  (
    'add again also answer because both carry check count differently divide double down done first from half halve here how ' +
    'is it left let long minus more multiply next no note now one ones or over place plus put regroup remainder rest round same ' +
    'second short side so split start step subtract sum take tens test that the then there therefore these this times to total ' +
    'trick try two units up use we what which why with wrong yes zero'
  ).split(' '),
);
/** Words between the names of one person. */
const BETWEEN = /^(al|bin|da|de|del|den|der|di|dos|du|el|ibn|la|le|van|von|y|zu)$/i;

/** A name of letters with a capital first, also of two parts, or one letter for it. */
const CAPITAL = /^(\p{Lu}\p{M}*(\p{L}|\p{M}|['’])+(-\p{Lu}\p{L}+)?|\p{Lu}\p{M}*\.?)$/u;
/** A word of a script that has no capitals. */
const UNCASED = /^(\p{Lo}|\p{M})+$/u;

/**
 * Whether a note looks like the name of a person: one to four words with capitals, or of a script without them, and nothing else. It
 * may stand before a colon or comma. Made to ask with, not to refuse by: an ordinary word of one's own may look the same.
 */
export function looksLikeName(text: string): boolean {
  const [first = ''] = text.trim().split(/[:,;(]/);
  const words = first.trim().split(/\s+/).filter(Boolean);
  if (words.length === 0 || words.length > 4) return false;
  const names = words.filter((word) => !BETWEEN.test(word));
  if (names.length === 0 || WORDS.has(names[0]!.toLowerCase())) return false;
  if (names.length <= 3 && names.every((word) => UNCASED.test(word))) return true;
  return names.every((word) => CAPITAL.test(word)) && names.some((word) => word.length > 2);
}
