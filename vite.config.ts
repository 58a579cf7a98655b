import vue from '@vitejs/plugin-vue';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';

export default defineConfig({
    plugins: [laravel({ input: 'resources/ts/main.ts', refresh: false }), vue()],
    build: { chunkSizeWarningLimit: 900, assetsInlineLimit: 0 },
});
