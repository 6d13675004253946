import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { svelteTesting } from '@testing-library/svelte/vite';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vitest/config';

export default defineConfig({
    plugins: [
        laravel({ input: ['resources/css/app.css', 'resources/js/main.ts'], refresh: false }),
        tailwindcss(),
        svelte(),
        svelteTesting(),
    ],
    server: { host: '127.0.0.1' },
    test: {
        environment: 'jsdom',
        include: ['resources/js/**/*.test.ts'],
    },
});
