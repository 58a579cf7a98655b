import { expect, test } from '@playwright/test';
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';

/** A page whose styles lie in another page has none when it is the first that is opened. */

const ROOT = resolve('resources/ts');
const text = new Map(readdirSync(ROOT, { recursive: true, encoding: 'utf8' }).filter((file) => /\.(vue|ts|css)$/.test(file)).map((file) => [join(ROOT, file), readFileSync(join(ROOT, file), 'utf8')]));

/** What a file imports at once, or only when it is asked for. */
function imported(file: string, lazily: boolean): string[] {
    return [...(text.get(file) ?? '').matchAll(/(import\(|import|from)\s*'(\.[^']+)'/g)]
        .filter((found) => (found[1] === 'import(') === lazily)
        .flatMap((found) => ['', '.ts', '/index.ts'].map((end) => join(dirname(file), found[2] ?? '') + end).filter((path) => text.has(path)));
}

function reached(from: string): Set<string> {
    const seen = new Set([from]);
    for (const file of seen) {
        for (const next of imported(file, false)) {
            seen.add(next);
        }
    }

    return seen;
}

/** The classes that a file's own rules speak of. */
function styled(file: string): string[] {
    const whole = text.get(file) ?? '';
    const css = file.endsWith('.css') ? whole : [...whole.matchAll(/<style[^>]*>([\s\S]*?)<\/style>/g)].map((found) => found[1] ?? '').join('\n');

    return [...css.replace(/\/\*[\s\S]*?\*\//g, '').matchAll(/([^{}]+)\{/g)].flatMap((rule) => [...(rule[1] ?? '').matchAll(/\.([a-zA-Z][\w-]*)/g)].map((found) => found[1] ?? ''));
}

/** The classes that a component's template always gives. */
function worn(file: string): string[] {
    const template = /<template>([\s\S]*)<\/template>/.exec(text.get(file) ?? '')?.[1] ?? '';

    return [...template.matchAll(/\sclass="([^"]*)"/g)].flatMap((found) => (found[1] ?? '').split(/\s+/));
}

test('every page brings the styles of all that it shows', () => {
    const [atOnce, rules] = [reached(join(ROOT, 'main.ts')), new Map<string, string[]>()];
    for (const file of text.keys()) {
        for (const name of styled(file)) {
            rules.set(name, [...(rules.get(name) ?? []), file]);
        }
    }
    const pages = [...text.keys()].flatMap((file) => imported(file, true));
    expect(pages.length).toBeGreaterThan(10);
    const bare = pages.flatMap((page) => {
        const here = new Set([...reached(page), ...atOnce]);

        return [...here].flatMap((file) => worn(file).filter((name) => rules.has(name) && !rules.get(name)?.some((place) => here.has(place))).map((name) => `${page}: .${name} of ${file}`));
    });
    expect(bare).toEqual([]);
});
