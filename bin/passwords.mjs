// Writes the passwords that are tried first, one to a line, from the list of a registry package.
import common from '@zxcvbn-ts/language-common';
import { writeFileSync } from 'node:fs';

const words = common.dictionary?.passwords ?? common.dictionary?.['passwords-common'] ?? [];
if (words.length < 10_000) {
    throw new Error(`The package lists only ${words.length} passwords.`);
}
writeFileSync('storage/framework/common-passwords.txt', `${[...new Set(words.map((word) => String(word).toLowerCase()))].join('\n')}\n`);
