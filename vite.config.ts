import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { svelteTesting } from '@testing-library/svelte/vite';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vitest/config';

export default defineConfig({
    plugins: [
        // Only the build needs it, and it refuses to start a development server, which the unit tests are, on CI.
        ...(process.env['VITEST'] === undefined
            ? [laravel({ input: ['resources/css/app.css', 'resources/js/main.ts'], refresh: false })]
            : []),
        tailwindcss(),
        svelte(),
        svelteTesting(),
    ],
    server: { host: '127.0.0.1' },
    test: {
        // Looking for roles in a table of a thousand cells takes seconds on a busy machine.
        testTimeout: 60_000,
        environment: 'jsdom',
        setupFiles: ['resources/js/test-setup.ts'],
        include: ['resources/js/**/*.test.ts'],
    },
});
