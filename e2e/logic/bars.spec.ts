import { expect, test } from '@playwright/test';
import { readdirSync, readFileSync } from 'node:fs';

const components = readdirSync('resources/ts', { recursive: true, encoding: 'utf8' }).filter((name) => name.endsWith('.vue')).map((name) => [name, readFileSync(`resources/ts/${name}`, 'utf8')] as const);

// Axe sees a bar only while it moves, and that is luck.
test('every bar says what is being done', () => {
    const bars = components.flatMap(([name, text]) => [...text.matchAll(/<v-progress-[^>]*>/g)].map((found) => `${name}: ${found[0]}`));
    expect(bars.length).toBeGreaterThan(5);
    expect(bars.filter((bar) => !/aria-label(ledby)?=/.test(bar))).toEqual([]);
});

test('what loads in a table or a field has a bar of ours, which is named', () => {
    const loading = components.flatMap(([name, text]) => [...text.matchAll(/<(v-data-table|v-file-input)(?=[^<]*? :loading=)[\s\S]*?<\/\1>|<(v-data-table|v-file-input)(?=[^<]*? :loading=)[^<]*?\/>/g)].map((found) => `${name}: ${found[0]}`));
    expect(loading.length).toBeGreaterThan(3);
    expect(loading.filter((one) => !one.includes('#loader'))).toEqual([]);
});
