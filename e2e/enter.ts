import { request, type FullConfig } from '@playwright/test';
import { execFileSync } from 'node:child_process';

export const OTHER = { shop: 'Tide-pool rangers', login: 'limpet', password: 'seven limpets under one rock' };

/** Enters by a link as the start prints one, and keeps the session for all tests. */
export default async function enter(config: FullConfig): Promise<void> {
    const use = config.projects[0]?.use;
    const env = { ...process.env, CROW_DATA: 'e2e/.server' };
    // A second shop beside the first: nothing of the one may show in the other.
    execFileSync('bin/artisan', ['crow:owner', OTHER.login, `--shop=${OTHER.shop}`], { env, input: `${OTHER.password}\n` });
    const link = execFileSync('bin/artisan', ['crow:link'], { env }).toString().trim();
    const context = await request.newContext({ baseURL: use?.baseURL ?? '' });
    await context.get('/');
    const token = (await context.storageState()).cookies.find((cookie) => cookie.name === 'XSRF-TOKEN')?.value ?? '';
    const answer = await context.post('/api/session/enter', { data: { pass: link.split('/').pop() }, headers: { 'X-XSRF-TOKEN': decodeURIComponent(token) } });
    if (!answer.ok()) {
        throw new Error(`The link of the start opened nothing: ${answer.status()} ${await answer.text()}`);
    }
    await context.storageState({ path: String(use?.storageState) });
    await context.dispose();
}
