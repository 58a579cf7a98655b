// Writes the list of SPDX identifiers, and the published texts that the tests quote, from the package spdx-license-list.
import { createRequire } from 'node:module';
import { readFileSync, writeFileSync } from 'node:fs';

const require = createRequire(import.meta.url);
const full = require('spdx-license-list/full');
const root = new URL('..', import.meta.url).pathname;
const list = Object.fromEntries(Object.entries(full).sort().map(([id, one]) => [id, one.name]));
writeFileSync(`${root}core/src/Rights/spdx.json`, `${JSON.stringify(list, null, 1)}\n`);
for (const id of Object.keys(JSON.parse(readFileSync(`${root}core/src/Rights/known.json`, 'utf8')))) {
    writeFileSync(`${root}core/tests/fixtures/licences/${id}.txt`, `${full[id].licenseText.trim()}\n`);
}
