import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/**
 * Whether the packages in a folder are those that its lock file names, by whatever command they were installed: npm itself
 * writes at the end of every installation what it put there. What is for another system alone, or optional, may be missing.
 */
export function matchesLock(root) {
  const wanted = packagesOf(join(root, 'package-lock.json'));
  const there = packagesOf(join(root, 'node_modules/.package-lock.json'));
  if (!wanted || !there) return false;
  return Object.entries(wanted).every(([path, own]) => {
    if (!path.startsWith('node_modules/')) return true;
    const found = there[path];
    if (!found) return own.optional === true || own.devOptional === true || own.peer === true;
    return (
      found.version === own.version && found.integrity === own.integrity && found.link === own.link
    );
  });
}

function packagesOf(file) {
  if (!existsSync(file)) return null;
  try {
    return JSON.parse(readFileSync(file, 'utf8')).packages ?? null;
  } catch {
    return null;
  }
}
