// Makes the types of the interface from docs/api.schema.json, which the server writes: node bin/types.mjs
import { mkdir, readFile, writeFile } from 'node:fs/promises';
import { compile } from 'json-schema-to-typescript';

const root = new URL('..', import.meta.url);
const schema = JSON.parse(await readFile(new URL('docs/api.schema.json', root), 'utf8'));
const types = await compile(schema, 'Api', {
    additionalProperties: false,
    unreachableDefinitions: true,
    ignoreMinAndMaxItems: true,
    format: false,
    bannerComment: '// Made by bin/types.mjs from docs/api.schema.json. Not to be changed by hand.',
});
await mkdir(new URL('resources/ts/generated/', root), { recursive: true });
await writeFile(new URL('resources/ts/generated/api.ts', root), types);
