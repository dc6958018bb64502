import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { ensureCompiled, ensureInstalled, main } from './lib/project.mjs';

/** Writes the JSON Schema of every open document, from its one description, into docs/schemas. */
await main(async () => {
  ensureInstalled();
  ensureCompiled();
  const { DOCUMENTS, schemaFile } = await import('@levee/core');
  for (const document of DOCUMENTS) {
    const { name, text } = schemaFile(document);
    writeFileSync(fileURLToPath(new URL(`../docs/schemas/${name}`, import.meta.url)), text);
  }
});
