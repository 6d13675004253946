import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { svelteTesting } from '@testing-library/svelte/vite';
import laravel from 'laravel-vite-plugin';
import { readdirSync, readFileSync } from 'node:fs';
import { configDefaults, defineConfig } from 'vitest/config';

const logic = 'resources/js/lib/**/*.test.ts';
// What draws nothing, and yet asks for a page, its address or its store.
const asksABrowser = ['api', 'hues', 'shown.svelte', 'workspace'].map((name) => `resources/js/lib/${name}.test.ts`);

// What puts something else in the place of a module, and so must be the only one to load it.
const replacesModules = readdirSync('resources/js', { recursive: true, encoding: 'utf8' })
    .map((name) => `resources/js/${name}`)
    .filter((name) => name.endsWith('.test.ts') && readFileSync(name, 'utf8').includes('vi.mock('))
    .filter((name) => !name.startsWith('resources/js/lib/') || asksABrowser.includes(name));

// The library's button asks for its spinner by way of the list of all its components, hundreds of files that are read for nothing.
const spinnerByItself = {
    name: 'spinner-by-itself',
    enforce: 'pre' as const,
    transform(code: string, id: string): string | null {
        return id.endsWith('flowbite-svelte/dist/buttons/Button.svelte')
            ? code.replace('import { Spinner } from "..";', 'import Spinner from "../spinner/Spinner.svelte";')
            : null;
    },
};

export default defineConfig({
    plugins: [
        spinnerByItself,
        // Only the build needs these; the one refuses to start a development server, which the unit tests are, on CI.
        ...(process.env['VITEST'] === undefined
            ? [laravel({ input: ['resources/css/app.css', 'resources/js/main.ts'], refresh: false }), tailwindcss()]
            : []),
        svelte(),
        svelteTesting(),
    ],
    server: { host: '127.0.0.1' },
    test: {
        // Looking for roles in a table of a thousand cells takes seconds on a busy machine.
        testTimeout: 60_000,
        projects: [
            // A stand-in of a browser takes longer to make than most of these take to run, and so does a process for each file.
            {
                extends: true,
                test: {
                    name: 'logic',
                    environment: 'node',
                    include: [logic],
                    exclude: [...configDefaults.exclude, ...asksABrowser],
                    isolate: false,
                },
            },
            {
                extends: true,
                test: {
                    name: 'browser',
                    environment: 'jsdom',
                    setupFiles: ['resources/js/test-setup.ts'],
                    include: asksABrowser.concat('resources/js/!(lib)/**/*.test.ts'),
                    exclude: [...configDefaults.exclude, ...replacesModules],
                    // One page and one set of modules for all of a process: to load both anew for each file takes half of the time.
                    isolate: false,
                },
            },
            {
                extends: true,
                test: {
                    name: 'replacing',
                    environment: 'jsdom',
                    setupFiles: ['resources/js/test-setup.ts'],
                    include: replacesModules,
                },
            },
        ],
    },
});
