import { TEXT_LIMITS } from './comparison-limits.ts';

/** A title with a few words behind it that say what it is; where there is no room, its own end goes, never half a character. */
export function titleWith(title: string, words: string): string {
  const behind = ` (${words})`;
  const room = TEXT_LIMITS.title - behind.length;
  if (title.length <= room) return `${title}${behind}`.trim();
  let kept = '';
  for (const { segment } of new Intl.Segmenter('en').segment(title)) {
    if (kept.length + segment.length > room - 1) break;
    kept += segment;
  }
  return `${kept.trimEnd()}…${behind}`;
}
