import { defineConfig } from '@playwright/test';

// The server is the application as it is shipped: nginx, two pools of PHP, cached routes and configuration, a second shop in the database.

const port = 8399;

export default defineConfig({
    testDir: '.',
    testMatch: '**/*.spec.ts',
    globalSetup: './enter.ts',
    outputDir: '../test-results',
    workers: 1,
    fullyParallel: false,
    // When something counts as hung, on a machine that has a tenth of itself for minutes; how fast things are, bin/bench tells.
    timeout: 300_000,
    expect: { timeout: 120_000 },
    reporter: [['list']],
    use: {
        baseURL: `http://127.0.0.1:${port}`,
        storageState: 'e2e/.server/signed-in.json',
        viewport: { width: 1280, height: 800 },
        // Traces cost a quarter of the time: TRACE=1 keeps those of tests that fail.
        trace: process.env.TRACE === '1' ? 'retain-on-failure' : 'off',
        contextOptions: { reducedMotion: 'reduce' },
        launchOptions: {
            executablePath: '/usr/bin/chromium-headless-shell',
            args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--no-first-run'],
        },
    },
    webServer: {
        command: `rm -rf e2e/.server && CROW_DATA=e2e/.server PRINT_HOUSE_MOODY=no DRAWING_SECONDS=110 CHECKING_SECONDS=120 exec bin/demo ${port}`,
        cwd: '..',
        url: `http://127.0.0.1:${port}/up`,
        timeout: 900_000,
        reuseExistingServer: false,
        gracefulShutdown: { signal: 'SIGINT', timeout: 8000 },
    },
});
