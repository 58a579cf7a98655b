import { defineConfig } from '@playwright/test';

/** The specs that need neither a browser nor the server. */
export default defineConfig({ testDir: './logic', outputDir: '../test-results/logic', reporter: [['list']] });
